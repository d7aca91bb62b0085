/** Intrinsic viscosity of spheres (Einstein 1906). */
export const EINSTEIN_COEFFICIENT = 2.5;
/** Random packing of spheres: no liquid is left to flow with (Krieger & Dougherty). */
export const MAX_PACKING = 0.63;

/**
 * How many times thicker a filler of roughly round grains makes a liquid.
 * Krieger & Dougherty, Trans. Soc. Rheol. 3 (1959) 137: (1 − φ/φm)^(−[η]·φm).
 * @param volumeFraction solid filler volume ÷ total volume, 0…1
 * @returns the factor, or `undefined` at or past the packing limit, where the mix no longer flows.
 * @throws RangeError when a number is outside its range.
 * @example
 * viscosityFactor(0.3); // 2.7689
 */
export function viscosityFactor(volumeFraction: number): number | undefined {
	if (!(volumeFraction >= 0 && volumeFraction <= 1)) {
		throw new RangeError(`viscosityFactor: a volume fraction is 0…1, got ${volumeFraction}`);
	}
	if (volumeFraction >= MAX_PACKING) return undefined;
	return (1 - volumeFraction / MAX_PACKING) ** (-EINSTEIN_COEFFICIENT * MAX_PACKING);
}
