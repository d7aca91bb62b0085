import { z } from 'zod';

/** Faults that a cast can show, in the order in which people look for them. */
export const FAULTS = [
	'bubbles on the face',
	'bubbles inside',
	'short shot',
	'flash',
	'seam step',
	'soft or tacky',
	'foam',
	'warp',
	'crack',
	'ripples',
	'dull or torn detail',
	'delaminated',
	'sink',
	'thin places'
] as const;
export const GRADES = ['good', 'needs work', 'scrap'] as const;
export type Grade = (typeof GRADES)[number];

const eventId = z.uuid({ error: 'An event needs an id of its own.' });
const base = {
	id: eventId,
	/** When it happened, where it happened: milliseconds since 1970, UTC. */
	atMs: z
		.number()
		.int()
		.min(1.5e12, 'The clock of this device is years off.')
		.max(4e12, 'The clock of this device is years off.')
};
const gaugeKpa = z
	.number()
	.min(0, 'A gauge reads from nothing up.')
	.max(2000, 'Over 20 bar: check the unit.');

/** Something that happened at the bench. Events are only ever added; saving one twice changes nothing. */
export const pourEvent = z.discriminatedUnion('kind', [
	z.strictObject({ ...base, kind: z.literal('step-done'), stepId: z.string().min(1).max(40) }),
	z.strictObject({
		...base,
		kind: z.literal('air-read'),
		roomTempC: z.number().min(-10, 'Under −10 °C: check the unit.').max(60, 'Over 60 °C: check the unit.'),
		relativeHumidity: z
			.number()
			.min(1, 'Relative humidity is 1–100 %.')
			.max(100, 'Relative humidity is 1–100 %.'),
		mouldTempC: z.number().min(-10, 'Under −10 °C: check the unit.').max(120, 'Over 120 °C: check the unit.')
	}),
	/** A gun thermometer on the cup, typed or sent by a device. */
	z.strictObject({
		...base,
		kind: z.literal('temp-read'),
		tempC: z.number().min(-20, 'Under −20 °C: check the reading.').max(300, 'Over 300 °C: check the reading.')
	}),
	z.strictObject({ ...base, kind: z.literal('pressure-read'), stepId: z.string().min(1).max(40), gaugeKpa }),
	z.strictObject({
		...base,
		kind: z.literal('graded'),
		mouldId: z.string().min(1).max(40),
		grade: z.enum(GRADES, { error: 'Choose a grade.' }),
		faults: z.array(z.enum(FAULTS)).max(FAULTS.length),
		note: z.string().max(2000, 'Keep the note under 2000 characters.')
	}),
	/** Takes an earlier event back; the earlier one stays in the record. */
	z.strictObject({ ...base, kind: z.literal('undone'), eventId }),
	z.strictObject({ ...base, kind: z.literal('finished') }),
	z.strictObject({
		...base,
		kind: z.literal('abandoned'),
		reason: z.string().max(500, 'Keep the reason under 500 characters.')
	})
]);
export type PourEvent = z.infer<typeof pourEvent>;
