/** How far above the dew point a mould face should stay, °C (common practice, no source). */
export const FACE_MARGIN_C = 3;

/**
 * Dew point, °C, by Magnus' formula with the WMO coefficients 17.62 and 243.12 °C
 * (WMO No. 8, Guide to Instruments, annex 4.B), over water, −45…60 °C.
 * @example
 * dewPointC({ tempC: 25, relativeHumidity: 60 }); // 16.693
 */
export function dewPointC(input: { tempC: number; relativeHumidity: number }): number {
	const gamma = Math.log(input.relativeHumidity / 100) + (17.62 * input.tempC) / (243.12 + input.tempC);
	return (243.12 * gamma) / (17.62 - gamma);
}
