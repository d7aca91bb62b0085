import { RATIO_TOLERANCE_PERCENT } from '../mix/weighingError';

/** Where a cup stands against its target while it is weighed. */
export interface Weighing {
	/** Still to pour, g; less than nothing when it is over. */
	toGoG: number;
	/** Half width of the band in which it counts as right, g. */
	bandG: number;
	state: 'empty' | 'pouring' | 'slow' | 'right' | 'over';
}

/**
 * Target, band and state of one weighing. The band is a quarter of the ratio's tolerance, so that both sides
 * together and the scale's own step stay inside it, but never finer than the scale reads.
 * @param targetG what should be in the cup, g, over 0
 * @param netG what the scale shows, g
 * @throws RangeError when a number is outside its range.
 * @example
 * weighing(60, 59.9, 0.1).state; // 'right'
 */
export function weighing(
	targetG: number,
	netG: number,
	resolutionG: number,
	tolerancePercent = RATIO_TOLERANCE_PERCENT
): Weighing {
	if (!(targetG > 0)) throw new RangeError(`weighing: the target must be over 0 g, got ${targetG}`);
	const bandG = Math.max(resolutionG, (targetG * tolerancePercent) / 400);
	const toGoG = targetG - netG;
	// the last tenth, or the last 5 g, is poured slowly
	const slowG = Math.max(3 * bandG, Math.min(targetG * 0.1, 5));
	const state =
		toGoG < -bandG
			? 'over'
			: toGoG <= bandG
				? 'right'
				: toGoG <= slowG
					? 'slow'
					: netG > bandG
						? 'pouring'
						: 'empty';
	return { toGoG, bandG, state };
}
