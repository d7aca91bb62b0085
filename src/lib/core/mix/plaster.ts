/** Water to one of plaster by weight unless its bag says otherwise (common practice, no source). */
export const WATER_PER_PLASTER = 0.6;

/** Hemihydrate, the mineral, g/ml (from memory); water is 1. */
const HEMIHYDRATE_G_PER_ML = 2.76;

/** Powder and water of a plaster, g. */
export interface PlasterParts {
	powderG: number;
	waterG: number;
}

/**
 * Powder and water that make up a volume of wet plaster: the slurry has the volume of both.
 * @param waterPerPowder by weight, as its bag says, 0.2–2
 * @throws RangeError when a number is outside its range
 * @example
 * plasterParts(1000, 0.6); // { powderG: 1039.157, waterG: 623.494 }
 */
export function plasterParts(volumeMl: number, waterPerPowder = WATER_PER_PLASTER): PlasterParts {
	if (!(volumeMl >= 0 && waterPerPowder > 0))
		throw new RangeError(`plasterParts: from 0 ml and over 0 of water, got ${volumeMl}, ${waterPerPowder}`);
	const powderG = volumeMl / (1 / HEMIHYDRATE_G_PER_ML + waterPerPowder);
	return { powderG, waterG: powderG * waterPerPowder };
}
