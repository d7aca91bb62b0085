/** Ratio error that most two-part resins forgive, % (common practice, no source). */
export const RATIO_TOLERANCE_PERCENT = 2;

/**
 * Worst ratio error from the scale's steps, %: d/2·(1/A + 1/B), both masses read half a step wrong
 * in opposite senses.
 * @param massAG, massBG grams on the scale, > 0
 * @param resolutionG smallest step of the scale, g, ≥ 0
 * @throws RangeError when a number is outside its range.
 * @example
 * weighingErrorPercent(50, 45, 0.1); // 0.21111
 */
export function weighingErrorPercent(massAG: number, massBG: number, resolutionG: number): number {
	if (!(massAG > 0) || !(massBG > 0)) {
		throw new RangeError(`weighingErrorPercent: both masses above zero, got ${massAG}, ${massBG}`);
	}
	return 100 * (resolutionG / 2) * (1 / massAG + 1 / massBG);
}

/**
 * Worst ratio error when equal cups are filled to marks, %: the error of the mark's height times the
 * cup's area, over the volume, for both cups in opposite senses.
 * @param volumeAMl, volumeBMl ml in each cup, > 0
 * @param cupDiameterMm inner width of the cup at the mark, mm
 * @param markErrorMm how far off the mark the level may stand, mm (default 1, common practice, no source)
 * @throws RangeError when a number is outside its range.
 * @example
 * cupMarkErrorPercent(50, 50, 50); // 7.854
 */
export function cupMarkErrorPercent(
	volumeAMl: number,
	volumeBMl: number,
	cupDiameterMm: number,
	markErrorMm = 1
): number {
	if (!(volumeAMl > 0) || !(volumeBMl > 0)) {
		throw new RangeError(`cupMarkErrorPercent: volumes above zero, got ${volumeAMl}, ${volumeBMl}`);
	}
	const errorMl = (Math.PI * cupDiameterMm ** 2 * markErrorMm) / 4 / 1000;
	return 100 * errorMl * (1 / volumeAMl + 1 / volumeBMl);
}
