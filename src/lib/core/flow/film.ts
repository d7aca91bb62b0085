/** Standard gravity, m/s². */
const GRAVITY = 9.80665;
/**
 * Largest mean film that a turning wall carries round, h ≤ 0.7071·√(ν·ω·R/g)
 * (Moffatt, J. Mécanique 16 (1977) 651: the largest load is 4.4427·R·√(νωR/g); 4.4427 ÷ 2π = 0.7071).
 */
export const CARRIED = 0.7071;

/** Exponents of viscosity in conversion (Castro & Macosko, AIChE J. 28 (1982) 250; from memory). */
export const THICKENING = { c1: 1.5, c2: 1 } as const;

/**
 * Viscosity of a curing resin, mPa·s: μ₀·(αg ÷ (αg − α))^(C₁ + C₂·α); infinite from gel on.
 * @param freshMpaS viscosity of the fresh mix at this temperature
 * @example
 * curingViscosity(100, 0, 0.5); // 100
 */
export function curingViscosity(freshMpaS: number, conversion: number, gelConversion: number): number {
	if (conversion >= gelConversion) return Infinity;
	const { c1, c2 } = THICKENING;
	return freshMpaS * (gelConversion / (gelConversion - conversion)) ** (c1 + c2 * conversion);
}

/**
 * Film that a wall turning once in `turnS` carries, mm, for a resin of this viscosity and density.
 * @example
 * carriedFilmMm(1000, 1.05, 6, 50); // 1.5945
 */
export function carriedFilmMm(
	viscosityMpaS: number,
	densityGPerMl: number,
	turnS: number,
	radiusMm: number
): number {
	const nu = viscosityMpaS / densityGPerMl / 1e6;
	return 1000 * CARRIED * Math.sqrt((nu * ((2 * Math.PI) / turnS) * (radiusMm / 1000)) / GRAVITY);
}

/**
 * Viscosity at which a film of this thickness is carried round and stays where it is, mPa·s.
 * @example
 * lockingViscosityMpaS(1, 1.05, 6, 50); // 393.32
 */
export function lockingViscosityMpaS(
	filmMm: number,
	densityGPerMl: number,
	turnS: number,
	radiusMm: number
): number {
	const nu = (GRAVITY * (filmMm / 1000) ** 2) / (CARRIED ** 2 * ((2 * Math.PI) / turnS) * (radiusMm / 1000));
	return nu * densityGPerMl * 1e6;
}

/**
 * Film that an upright wall keeps at a depth below its edge when it is left standing, mm:
 * h = √(z ÷ (ρ·g·∫dt/μ)) (Jeffreys, Proc. Camb. Phil. Soc. 26 (1930) 204, with viscosity rising to gel).
 * @param fluidity ∫dt/μ from when it is left until it gels, s/(mPa·s)
 * @example
 * keptFilmMm(100, 1.05, 120); // 0.0089961
 */
export function keptFilmMm(depthMm: number, densityGPerMl: number, fluidity: number): number {
	const rho = densityGPerMl * 1000;
	return 1000 * Math.sqrt(depthMm / 1000 / (rho * GRAVITY * fluidity * 1000));
}
