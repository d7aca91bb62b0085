import { curingViscosity } from '../flow/film';
import type { CureModel } from './model';
import type { FillerMix } from './record';

/** What is left of the resin's own conversion at the end of pot life where the mix is that thick from the start. */
const LEAST_POT_SHARE = 0.1;

/**
 * Conductivity of a mix with grains in it, W/m·K (Maxwell, A Treatise on Electricity and Magnetism, 1873, §314).
 * @param share of the volume that the grains take, 0…1
 * @example maxwellConductivity(0.2, 200, 0.2); // 0.34944
 */
export function maxwellConductivity(resin: number, grain: number, share: number): number {
	return (
		(resin * (grain + 2 * resin + 2 * share * (grain - resin))) /
		(grain + 2 * resin - share * (grain - resin))
	);
}

/**
 * The model of a resin with fillers in it: heat capacities by mass, densities by volumes that add, conductivity after
 * Maxwell, heat released by the resin's share alone. Too thick to pour is where the mix is as thick as the plain resin
 * is when that is too thick (viscosity after Castro & Macosko, AIChE J. 28 (1982) 250).
 */
export function fillerMixModel<M extends Omit<CureModel, 'warnings' | 'defaulted'>>(
	model: M,
	mix: FillerMix
): M {
	const resinShare = 1 - mix.fillers.reduce((sum, f) => sum + f.massShare, 0);
	const volume =
		resinShare / model.densityGPerMl + mix.fillers.reduce((sum, f) => sum + f.massShare / f.densityGPerMl, 0);
	const specificHeatJPerGK =
		resinShare * model.specificHeatJPerGK +
		mix.fillers.reduce((sum, f) => sum + f.massShare * f.specificHeatJPerGK, 0);
	const heatOfCureJPerG = resinShare * model.heatOfCureJPerG;
	return {
		...model,
		densityGPerMl: 1 / volume,
		specificHeatJPerGK,
		heatOfCureJPerG,
		conductivityWPerMK: mix.fillers.reduce(
			(k, f) => maxwellConductivity(k, f.conductivityWPerMK, f.massShare / f.densityGPerMl / volume),
			model.conductivityWPerMK
		),
		kinetics: { ...model.kinetics, riseK: heatOfCureJPerG / specificHeatJPerGK },
		potLifeConversion: potLifeConversion(model, mix.viscosityFactor)
	};
}

function potLifeConversion(
	{ potLifeConversion: plain, gelConversion }: Pick<CureModel, 'potLifeConversion' | 'gelConversion'>,
	viscosityFactor: number
): number {
	if (!(viscosityFactor > 1) || plain >= gelConversion) return plain;
	const tooThick = curingViscosity(1, plain, gelConversion);
	const least = plain * LEAST_POT_SHARE;
	let [lo, hi] = [0, plain];
	for (let i = 0; i < 40; i++) {
		const mid = (lo + hi) / 2;
		if (viscosityFactor * curingViscosity(1, mid, gelConversion) < tooThick) lo = mid;
		else hi = mid;
	}
	return Math.max(least, hi);
}
