/** Film left on a wall by a liquid of 100 mPa·s, mm (common practice, no source). */
const FILM_MM_AT_100_MPAS = 0.1;
/** Stick and spatula, mm² wetted (common practice, no source). */
const TOOL_AREA_MM2 = 2000;

/**
 * Inner width of a cup that is as tall as it is wide and just holds the volume, mm.
 * @param volumeMl > 0
 * @example
 * squareCupDiameterMm(100); // 50.308
 */
export function squareCupDiameterMm(volumeMl: number): number {
	return Math.cbrt((4 * volumeMl * 1000) / Math.PI);
}

/**
 * Height of a fill mark in a straight cup, mm.
 * @param volumeMl ≥ 0
 * @param cupDiameterMm inner width, mm, > 0
 * @example
 * cupMarkHeightMm(100, 60); // 35.368
 */
export function cupMarkHeightMm(volumeMl: number, cupDiameterMm: number): number {
	return (volumeMl * 1000) / ((Math.PI * cupDiameterMm ** 2) / 4);
}

/**
 * What stays in the cup and on tools, ml: wetted area × film, the film growing with the square root of
 * viscosity. Small shots get the larger share that they need.
 * @param poured ml that have to leave the cup, > 0
 * @param viscosityMpaS mixed viscosity, mPa·s, > 0
 * @throws RangeError when a number is outside its range.
 * @example
 * cupLossMl(100, 100); // 1.1939
 */
export function cupLossMl(poured: number, viscosityMpaS: number): number {
	if (!(poured > 0) || !(viscosityMpaS > 0)) {
		throw new RangeError(`cupLossMl: volume and viscosity above zero, got ${poured}, ${viscosityMpaS}`);
	}
	const d = squareCupDiameterMm(poured);
	const wettedMm2 = (Math.PI * d * d) / 4 + Math.PI * d * d + TOOL_AREA_MM2;
	return (wettedMm2 * FILM_MM_AT_100_MPAS * Math.sqrt(viscosityMpaS / 100)) / 1000;
}

/**
 * Volume below a mark in a straight cup, ml: what a cup-mark school has poured.
 * @param markMm height above the cup's floor, mm, ≥ 0
 * @example
 * markVolumeMl(35.368, 60); // 100
 */
export function markVolumeMl(markMm: number, cupDiameterMm: number): number {
	return (markMm * Math.PI * cupDiameterMm ** 2) / 4000;
}
