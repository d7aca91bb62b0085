/** Standard atmosphere at sea level, kPa (NIST SP 811). */
export const STANDARD_ATMOSPHERE_KPA = 101.325;

/**
 * Air pressure at an altitude, kPa: U.S. Standard Atmosphere 1976 (= ISA), troposphere.
 * p = 101.325·(1 − 0.0065·h/288.15)^5.25588. `atmosphereKpa(1500)` is 84.56.
 * @throws RangeError outside −500…11000 m.
 * @example
 * atmosphereKpa(1500); // 84.556
 */
export function atmosphereKpa(altitudeM: number): number {
	if (!(altitudeM >= -500 && altitudeM <= 11_000)) {
		throw new RangeError(`atmosphereKpa: the troposphere is −500…11000 m, got ${altitudeM}`);
	}
	return STANDARD_ATMOSPHERE_KPA * (1 - (0.0065 * altitudeM) / 288.15) ** 5.25588;
}
