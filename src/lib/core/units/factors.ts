/**
 * Exact conversion factors to the units that the core computes in.
 * Source: NIST SP 811 (2008), appendix B. Areas and volumes are derived from
 * the one exact length (1 in = 25.4 mm), so that they cannot disagree.
 */

const MM_PER_INCH = 25.4;
const GRAM_PER_POUND = 453.59237;
const ML_PER_CUBIC_INCH = (MM_PER_INCH / 10) ** 3;
const ML_PER_US_GALLON = 231 * ML_PER_CUBIC_INCH;
const ML_PER_IMPERIAL_GALLON = 4546.09;
const KPA_PER_ATMOSPHERE = 101.325;
/** lbf/in² from the pound, standard gravity 9.80665 m/s² and the inch. */
const KPA_PER_PSI = (GRAM_PER_POUND * 9.80665) / (MM_PER_INCH * MM_PER_INCH);

/** Length units and their size in millimetres. */
export const LENGTH_MM = {
	mm: 1,
	cm: 10,
	m: 1000,
	in: MM_PER_INCH,
	ft: 12 * MM_PER_INCH
} as const;

/** Area units and their size in square millimetres. */
export const AREA_MM2 = {
	mm2: 1,
	cm2: 100,
	m2: 1e6,
	in2: MM_PER_INCH ** 2,
	ft2: (12 * MM_PER_INCH) ** 2
} as const;

/** Mass units and their size in grams. `oz` is the avoirdupois (weight) ounce. */
export const MASS_G = {
	g: 1,
	mg: 0.001,
	kg: 1000,
	oz: GRAM_PER_POUND / 16,
	lb: GRAM_PER_POUND
} as const;

/** Volume units and their size in millilitres. `floz` is the US fluid ounce. */
export const VOLUME_ML = {
	ml: 1,
	cl: 10,
	l: 1000,
	mm3: 0.001,
	in3: ML_PER_CUBIC_INCH,
	floz: ML_PER_US_GALLON / 128,
	impfloz: ML_PER_IMPERIAL_GALLON / 160,
	cup: ML_PER_US_GALLON / 16,
	pint: ML_PER_US_GALLON / 8,
	quart: ML_PER_US_GALLON / 4,
	gal: ML_PER_US_GALLON
} as const;

/** Time units and their size in seconds. */
export const TIME_S = { s: 1, min: 60, h: 3600, day: 86400 } as const;

/** Pressure units and their size in kilopascal. */
export const PRESSURE_KPA = {
	kpa: 1,
	pa: 0.001,
	bar: 100,
	mbar: 0.1,
	psi: KPA_PER_PSI,
	atm: KPA_PER_ATMOSPHERE
} as const;

/** Density units and their size in g/ml. */
export const DENSITY_G_PER_ML = {
	'g/ml': 1,
	'kg/m3': 0.001,
	'lb/ft3': GRAM_PER_POUND / (1728 * ML_PER_CUBIC_INCH),
	'lb/gal': GRAM_PER_POUND / ML_PER_US_GALLON
} as const;

/** Dynamic viscosity units and their size in mPa·s (1 cP = 1 mPa·s). */
export const VISCOSITY_MPAS = { mpas: 1, cp: 1, pas: 1000, p: 100 } as const;

/** Free-air delivery and their size in litres a minute. */
export const FLOW_L_PER_MIN = {
	'l/min': 1,
	'm3/h': 1000 / 60,
	cfm: (1728 * ML_PER_CUBIC_INCH) / 1000
} as const;

/**
 * Degrees Fahrenheit to degrees Celsius. Any finite number.
 * @example
 * celsiusFromFahrenheit(68); // 20
 */
export function celsiusFromFahrenheit(tempF: number): number {
	return ((tempF - 32) * 5) / 9;
}

/**
 * Degrees Celsius to degrees Fahrenheit. Any finite number.
 * @example
 * fahrenheitFromCelsius(20); // 68
 */
export function fahrenheitFromCelsius(tempC: number): number {
	return (tempC * 9) / 5 + 32;
}

/**
 * Density in g/ml from the specific volume in cubic inches per pound that US data sheets give.
 * `densityFromSpecificVolume(25)` is 1.10720.
 * @throws RangeError unless the specific volume is a positive finite number.
 * @example
 * densityFromSpecificVolume(25); // 1.1072
 */
export function densityFromSpecificVolume(in3PerLb: number): number {
	if (!(in3PerLb > 0) || !Number.isFinite(in3PerLb)) {
		throw new RangeError(`densityFromSpecificVolume: wants a positive number of in³ per lb, got ${in3PerLb}`);
	}
	return GRAM_PER_POUND / (in3PerLb * ML_PER_CUBIC_INCH);
}
