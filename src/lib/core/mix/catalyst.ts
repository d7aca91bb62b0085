import { z } from 'zod';
import { VOLUME_ML } from '../units';

/** Drops in a millilitre until the maker has counted with the dropper in use (common practice, no source). */
export const DEFAULT_DROPS_PER_ML = 20;
/** Small drops: ten to a US fluid ounce where the trade says 1 ml to 100 ml (common practice, no source). */
export const MOST_DROPS_PER_ML = 34;
/** Density of an MEKP solution, g/ml (from memory; the sheet's own figure replaces it). */
export const DEFAULT_CATALYST_DENSITY = 1.12;

export const catalystInput = z.strictObject({
	/** Per cent of the resin's mass. */
	percent: z
		.number({ error: 'Type the catalyst in per cent of the resin by weight.' })
		.positive('The catalyst must be more than nothing.')
		.max(10, 'Over 10 % catalyst: check the sheet.'),
	densityGPerMl: z.number().positive().max(5).default(DEFAULT_CATALYST_DENSITY),
	/** Counted with the dropper in use; without it drops are a range. */
	dropsPerMl: z.number().positive().max(200).optional()
});

export interface CatalystAmount {
	massG: number;
	volumeMl: number;
	/** Whole drops, rounded to the nearest; of a dropper that nobody counted the fewest that it may take. */
	drops: number;
	/** The most that it may take, where nobody counted. */
	dropsMost?: number;
	/** What the trade calls per cent: millilitres to 100 g. */
	mlPer100G: number;
	dropsPerFlOz: number;
}

/**
 * One amount of catalyst said in every way: grams, millilitres, drops, ml per 100 g, drops per US fl oz.
 * @param resinMassG mass of resin to be catalysed, g, > 0
 * @param resinDensityGPerMl needed for drops per fluid ounce of resin
 * @example
 * catalystAmount(200, 1.11, { percent: 1.5, densityGPerMl: 1.12, dropsPerMl: 22 }).massG; // 3
 */
export function catalystAmount(
	resinMassG: number,
	resinDensityGPerMl: number,
	catalyst: z.output<typeof catalystInput>
): CatalystAmount {
	const massG = (resinMassG * catalyst.percent) / 100;
	const volumeMl = massG / catalyst.densityGPerMl;
	const mlPerGram = volumeMl / resinMassG;
	const { dropsPerMl = DEFAULT_DROPS_PER_ML } = catalyst;
	return {
		massG,
		volumeMl,
		drops: Math.round(volumeMl * dropsPerMl),
		...(catalyst.dropsPerMl === undefined ? { dropsMost: Math.round(volumeMl * MOST_DROPS_PER_ML) } : {}),
		mlPer100G: mlPerGram * 100,
		dropsPerFlOz: mlPerGram * VOLUME_ML.floz * resinDensityGPerMl * dropsPerMl
	};
}
