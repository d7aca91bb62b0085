import { z } from 'zod';
import { EARLIER_MOULD_FAULTS, idSchema } from '../earlierIds';
import { MOULD_FAULTS } from './firstLook';

const eventId = z.uuid({ error: 'An event needs an id of its own.' });
const base = {
	id: eventId,
	/** The mark of whoever had the gloves on; nothing where nobody signs in, and of what earlier versions noted. */
	mark: z.string().trim().min(1).max(8).optional(),
	atMs: z
		.number()
		.int()
		.min(1.5e12, 'The clock of this device is years off.')
		.max(4e12, 'The clock of this device is years off.')
};
/** The first look at a finished mould. */
export const inspectionInput = z.strictObject({
	/** Water that one cavity takes, by weight. */
	waterMl: z
		.number({ error: 'Type what it takes, such as 84 ml, or leave it empty.' })
		.positive('It takes something.')
		.max(1e6, 'Over a cubic metre: check the unit.')
		.optional(),
	faults: z
		.array(idSchema(MOULD_FAULTS, EARLIER_MOULD_FAULTS, 'There is no such fault.'))
		.max(MOULD_FAULTS.length),
	note: z.string().max(2000, 'Keep the note under 2000 characters.')
});
export type Inspection = z.infer<typeof inspectionInput>;

/** Something that happened while a mould was made. Only ever added; saving one twice changes nothing. */
export const makingEvent = z.discriminatedUnion('kind', [
	z.strictObject({ ...base, kind: z.literal('step-done'), stepId: z.string().min(1).max(40) }),
	z.strictObject({ ...base, kind: z.literal('inspected'), ...inspectionInput.shape }),
	/** What really stood on the scale at a step, g, in the order of its amounts. */
	z.strictObject({
		...base,
		kind: z.literal('weighed'),
		stepId: z.string().min(1).max(40),
		massesG: z
			.array(
				z
					.number({ error: 'Type what was weighed, such as 128 g.' })
					.positive('It weighs more than nothing.')
					.max(1e6, 'Over a tonne: check the unit.')
			)
			.min(1)
			.max(10)
	}),
	z.strictObject({ ...base, kind: z.literal('undone'), eventId }),
	z.strictObject({ ...base, kind: z.literal('finished') }),
	z.strictObject({
		...base,
		kind: z.literal('abandoned'),
		reason: z.string().max(500, 'Keep the reason under 500 characters.')
	})
]);
export type MakingEvent = z.infer<typeof makingEvent>;
