import { z } from 'zod';

/** How a copy sat in the water. */
export const AFLOAT = ['upright', 'leaning', 'on its side', 'awash', 'sunk'] as const;

/** One trial afloat: balance and trim are found by trying, so the trials are kept with the piece. */
export const trialRecord = z.object({
	/** Weight put in or on for this trial, and where. */
	addedG: z
		.number({ error: 'Type what was added, such as 12 g, or 0.' })
		.min(0, 'Nothing weighs less than nothing.')
		.max(1e6, 'Over a tonne: check the unit.'),
	where: z.string().trim().max(80, 'Keep it under 80 characters.').default(''),
	/** The copy with it, on the scale. */
	massG: z
		.number({ error: 'Type what the copy weighs with it, such as 96 g.' })
		.positive('It weighs something.')
		.max(1e6, 'Over a tonne: check the unit.')
		.optional(),
	sat: z.enum(AFLOAT, { error: 'Choose how it sat.' }),
	underWaterPercent: z
		.number({ error: 'Type how much of it is under water, such as 70 %.' })
		.min(0, 'At least none of it.')
		.max(100, 'At most all of it.')
		.optional(),
	note: z.string().trim().max(500, 'Keep the note under 500 characters.').default('')
});
export type TrialRecord = z.output<typeof trialRecord>;

/**
 * What a copy of this volume should show in fresh water at this weight, percent under water (Archimedes).
 * @throws RangeError when a number is outside its range.
 * @example
 * foretoldPercent(80, 100); // 80
 */
export function foretoldPercent(massG: number, volumeMl: number): number {
	if (!(massG > 0 && volumeMl > 0))
		throw new RangeError(`foretoldPercent: both over 0, got ${massG} g, ${volumeMl} ml`);
	return Math.min(100, (100 * massG) / volumeMl);
}
