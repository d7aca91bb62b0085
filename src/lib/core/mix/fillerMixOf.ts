import type { MixResult } from './mix';

/** What heat sees of the grains of a filler. */
interface GrainHeat {
	conductivityWPerMK: number;
	specificHeatJPerGK: number;
}

/**
 * Fillers of a mix as its cure heeds them: shares of the mass, and how much thicker than the resin the mix is.
 * @param heatOf of the filler at this place of the mix
 */
export function fillerMixOf(mixed: MixResult, heatOf: (index: number) => GrainHeat) {
	return {
		fillers: mixed.fillers.map((f, i) => ({
			massShare: f.massG / mixed.total.massG,
			densityGPerMl: f.massG / f.volumeMl,
			...heatOf(i)
		})),
		// past the packing limit nothing flows, and its own warning says so
		viscosityFactor: Math.max(1, mixed.viscosityFactor ?? 1)
	};
}
