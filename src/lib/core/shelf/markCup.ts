import { z } from 'zod';
import { name, note } from './fields';

const width = (where: string) =>
	z
		.number({ error: `Measure it inside ${where}, such as 70 mm.` })
		.min(5, 'Under 5 mm: check the unit.')
		.max(600, 'Over 60 cm: check the unit.');

/** A cup that parts are measured in by marks: straight or tapered, plain or with a scale printed on it. */
export const markCupRecord = z.object({
	name: name('cup'),
	/** Inside at its floor and at its rim, mm; alike for a straight one. */
	floorMm: width('at the floor'),
	rimMm: width('at the rim'),
	heightMm: z
		.number({ error: 'Measure how deep it is inside, such as 90 mm.' })
		.min(5, 'Under 5 mm: check the unit.')
		.max(1000, 'Over 1 m: check the unit.'),
	/** What its own scale is in. */
	graduated: z.enum(['none', 'ml', 'floz']).default('none'),
	note
});
export type MarkCup = z.output<typeof markCupRecord>;

/**
 * What a tapered cup holds up to a height, ml: a frustum, π·h/12·(d₀² + d₀·d + d²).
 * @param heightMm over its floor
 * @example
 * cupVolumeMl({ floorMm: 60, rimMm: 60, heightMm: 80 }, 80); // 226.195
 */
export function cupVolumeMl(cup: Pick<MarkCup, 'floorMm' | 'rimMm' | 'heightMm'>, heightMm: number): number {
	const d = cup.floorMm + ((cup.rimMm - cup.floorMm) * heightMm) / cup.heightMm;
	return (Math.PI * heightMm * (cup.floorMm ** 2 + cup.floorMm * d + d ** 2)) / 12_000;
}

/**
 * How high so much stands in a cup, mm over its floor; nothing when it does not go in.
 * @example
 * markInCup({ floorMm: 60, rimMm: 60, heightMm: 80 }, 100); // 35.368
 */
export function markInCup(
	cup: Pick<MarkCup, 'floorMm' | 'rimMm' | 'heightMm'>,
	volumeMl: number
): number | undefined {
	if (volumeMl > cupVolumeMl(cup, cup.heightMm) * (1 + 1e-9)) return undefined;
	const taper = (cup.rimMm - cup.floorMm) / cup.heightMm;
	if (Math.abs(taper) < 1e-9) return (volumeMl * 4000) / (Math.PI * cup.floorMm ** 2);
	return (Math.cbrt(cup.floorMm ** 3 + (12_000 * taper * volumeMl) / Math.PI) - cup.floorMm) / taper;
}
