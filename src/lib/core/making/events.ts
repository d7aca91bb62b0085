import { z } from 'zod';
import { EARLIER_MOULD_FAULTS, idSchema } from '../earlierIds';

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
/** What may be wrong with a new mould. */
export const MOULD_FAULTS = [
	'inhibited',
	'face-bubbles',
	'inner-bubbles',
	'torn',
	'joint-step',
	'leaked',
	'detail-missing'
] as const;
type MouldFault = (typeof MOULD_FAULTS)[number];
export const MOULD_FAULT_WORDS: Readonly<Record<MouldFault, string>> = {
	inhibited: 'inhibited, tacky',
	'face-bubbles': 'bubbles on the face',
	'inner-bubbles': 'bubbles inside',
	torn: 'torn',
	'joint-step': 'step at the joint',
	leaked: 'leaked',
	'detail-missing': 'detail missing'
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

/**
 * How much more water a cavity takes than its master displaces, percent; less than nothing: it takes less.
 * @throws RangeError when a number is outside its range.
 * @example
 * waterOffPercent(66, 64); // 3.125
 */
export function waterOffPercent(waterMl: number, masterVolumeMl: number): number {
	if (!(waterMl > 0 && masterVolumeMl > 0))
		throw new RangeError(`waterOffPercent: both over 0, got ${waterMl} ml, ${masterVolumeMl} ml`);
	return (100 * (waterMl - masterVolumeMl)) / masterVolumeMl;
}

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
