import { z } from 'zod';
import { digits } from '../units';

/** Fewer parts are a slip, and no sum can be made of them. */
const LEAST_PARTS = 1e-6;

/** A mixing ratio as sheets give it: `a` parts of A to `b` parts of B, by weight or by volume. */
export const ratioInput = z.strictObject({
	by: z.enum(['weight', 'volume'], { error: 'Say whether the ratio is by weight or by volume.' }),
	a: z
		.number({ error: 'Type the parts of A, such as 100.' })
		.positive('The parts of A must be more than nothing.')
		.min(LEAST_PARTS, 'Under a millionth of a part: check the ratio.')
		.max(1e6, 'Over a million parts: check the ratio.'),
	b: z
		.number({ error: 'Type the parts of B, such as 90.' })
		.min(0, 'The parts of B cannot be less than nothing.')
		.max(1e6, 'Over a million parts: check the ratio.')
		.refine((b) => b === 0 || b >= LEAST_PARTS, 'Under a millionth of a part: check the ratio, or type 0.')
});
export type Ratio = z.infer<typeof ratioInput>;

/** Sheets round their figures: this far apart, ratio by weight and by volume still agree. */
const RATIO_TOLERANCE = 0.02;

/**
 * B for each part of A by weight, from a ratio of either kind. (b/a)w = (b/a)v · ρB/ρA.
 * @example
 * bPerAByWeight({ by: 'volume', a: 1, b: 1 }, 1.1, 0.99); // 0.9
 */
export function bPerAByWeight(ratio: Ratio, densityAGPerMl: number, densityBGPerMl: number): number {
	const share = ratio.b / ratio.a;
	return ratio.by === 'weight' ? share : (share * densityBGPerMl) / densityAGPerMl;
}

/**
 * B for each part of A by volume, from a ratio of either kind.
 * @example
 * bPerAByVolume({ by: 'weight', a: 100, b: 90 }, 1.1, 0.99); // 1
 */
export function bPerAByVolume(ratio: Ratio, densityAGPerMl: number, densityBGPerMl: number): number {
	const share = ratio.b / ratio.a;
	return ratio.by === 'volume' ? share : (share * densityAGPerMl) / densityBGPerMl;
}

/** Whether what a sheet says of ratio and density agrees, with the sum that was made. */
interface RatioCheck {
	ok: boolean;
	/** How far the two differ, as a share (0.02 is two per cent). */
	offBy: number;
	sum: string;
}

/**
 * Ratio by weight, ratio by volume and the two densities say one thing twice: a/b = (va/vb)·(ρA/ρB).
 * A contradiction beyond the tolerance is reported with its sum, never averaged.
 * @example
 * checkRatio({ a: 100, b: 90 }, { a: 1, b: 1 }, 1.1, 0.99).ok; // true
 */
export function checkRatio(
	byWeight: { a: number; b: number },
	byVolume: { a: number; b: number },
	densityAGPerMl: number,
	densityBGPerMl: number,
	tolerance = RATIO_TOLERANCE
): RatioCheck {
	const weight = byWeight.b / byWeight.a;
	const fromVolume = bPerAByWeight({ by: 'volume', ...byVolume }, densityAGPerMl, densityBGPerMl);
	const offBy = Math.abs(weight / fromVolume - 1);
	return {
		ok: offBy <= tolerance,
		offBy,
		sum:
			`${digits(byVolume.b)} × ${digits(densityBGPerMl, 3)} g/ml to ${digits(byVolume.a)} × ${digits(densityAGPerMl, 3)} g/ml ` +
			`is 100:${digits(fromVolume * 100, 1)} by weight; the sheet says 100:${digits(weight * 100, 1)}, ` +
			`which is ${digits(offBy * 100, 1)} % apart`
	};
}
