const R = 8.314462618;
const ZERO_C = 273.15;

/** Flow energy of a resin whose sheet gives one viscosity only, kJ/mol (from memory, a field value). */
export const DEFAULT_FLOW_KJ_PER_MOL = 40;

export interface ViscosityPoint {
	tempC: number;
	viscosityMpaS: number;
}

/**
 * Flow energy of μ = μ₁·exp((E/R)·(1/T − 1/T₁)) through two points, kJ/mol; the default for one point.
 * Not positive when the points say that it thickens as it warms, NaN when both are at one temperature.
 * @example
 * flowEnergyKjPerMol([
 *   { viscosityMpaS: 90, tempC: 23 },
 *   { viscosityMpaS: 60, tempC: 32 }
 * ]); // 33.851
 */
export function flowEnergyKjPerMol(points: readonly ViscosityPoint[]): number {
	const [p, q] = points;
	if (!p || !q) return DEFAULT_FLOW_KJ_PER_MOL;
	const span = 1 / (q.tempC + ZERO_C) - 1 / (p.tempC + ZERO_C);
	return (R * Math.log(q.viscosityMpaS / p.viscosityMpaS)) / span / 1000;
}

/**
 * Viscosity at a temperature, mPa·s: Arrhenius through the sheet's one or two points.
 * @throws Error
 * @example
 * viscosityAt(
 *   [
 *     { viscosityMpaS: 90, tempC: 23 },
 *     { viscosityMpaS: 60, tempC: 32 }
 *   ],
 *   32
 * ); // 60
 */
export function viscosityAt(points: readonly ViscosityPoint[], tempC: number): number {
	const [p] = points;
	if (!p) throw new Error('viscosityAt: no point');
	const energy = 1000 * flowEnergyKjPerMol(points);
	return p.viscosityMpaS * Math.exp((energy / R) * (1 / (tempC + ZERO_C) - 1 / (p.tempC + ZERO_C)));
}
