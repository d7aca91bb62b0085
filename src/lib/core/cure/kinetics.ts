import { mobility, type Glass } from './glass';

/** Gas constant, J/(mol·K) (CODATA 2018). */
const GAS_CONSTANT = 8.31446261815324;
/** 23 °C in kelvin: the temperature at which sheets state their times. */
const REFERENCE_K = 296.15;

/** Constants of one resin's reaction. */
export interface Kinetics {
	/** Rate at 23 °C, 1/s. */
	readonly k23PerS: number;
	readonly m: number;
	readonly n: number;
	readonly activationJPerMol: number;
	/** Adiabatic rise, K: heat of cure ÷ specific heat. */
	readonly riseK: number;
	/**
	 * Rate at 23 °C at which the inhibitor is used up, 1/s (the store is 1 at the start).
	 * Infinite where there is none.
	 */
	readonly inductionPerS: number;
	/** Where the reaction stops as the resin turns to glass; without it nothing stops it. */
	readonly glass?: Glass | undefined;
}

/**
 * Arrhenius factor against 23 °C: 1 at 23 °C, about 2 at 33 °C for 55 kJ/mol.
 * @example
 * arrhenius(55_000, 33); // 2.0742
 */
export function arrhenius(activationJPerMol: number, tempC: number): number {
	return Math.exp((-activationJPerMol / GAS_CONSTANT) * (1 / (tempC + 273.15) - 1 / REFERENCE_K));
}

/** (1 + m·α)·(1 − α)ⁿ, the part of the rate that conversion rules. Zero at and past full conversion. */
export function conversionFactor(m: number, n: number, conversion: number): number {
	const left = 1 - conversion;
	if (left <= 0) return 0;
	const power = n === 2 ? left * left : n === 1.5 ? left * Math.sqrt(left) : left ** n;
	return (1 + m * conversion) * power;
}

/**
 * dα/dt, 1/s: k₂₃·exp(−(Ea/R)(1/T − 1/296.15 K))·(1 + m·α)·(1 − α)ⁿ
 * (form of Kamal & Sourour, Polym. Eng. Sci. 13 (1973) 59, first-order autocatalysis), slowed as the resin turns to
 * glass.
 */
export function curingRate(kinetics: Kinetics, conversion: number, tempC: number): number {
	return (
		kinetics.k23PerS *
		arrhenius(kinetics.activationJPerMol, tempC) *
		conversionFactor(kinetics.m, kinetics.n, conversion) *
		(kinetics.glass ? mobility(kinetics.glass, conversion, tempC) : 1)
	);
}

/**
 * k·t needed to reach a conversion at constant temperature: ∫₀^α dα / ((1 + mα)(1 − α)ⁿ),
 * by Gauss–Legendre on eight panels (relative error below 1e-9 up to α = 0.97).
 */
export function isothermalKt(m: number, n: number, conversion: number): number {
	const nodes = [0.1834346424956498, 0.525532409916329, 0.7966664774136267, 0.9602898564975363];
	const weights = [0.362683783378362, 0.3137066458778873, 0.2223810344533745, 0.1012285362903763];
	const panels = 8;
	const half = conversion / panels / 2;
	let sum = 0;
	for (let p = 0; p < panels; p++) {
		const mid = (2 * p + 1) * half;
		for (let i = 0; i < 4; i++) {
			const d = nodes[i]! * half;
			sum += weights[i]! * (1 / conversionFactor(m, n, mid - d) + 1 / conversionFactor(m, n, mid + d));
		}
	}
	return sum * half;
}
