import { z } from 'zod';
import { waterDensityGPerMl } from './waterDensity';

/** Spilled water on the scale (g) and its temperature (°C). */
export const displacementInput = z.strictObject({
	overflowMassG: z
		.number({ error: 'Weigh the spilled water and type its grams.' })
		.positive('The spilled water must weigh more than nothing.')
		.max(1e6, 'More than a tonne of water: check the unit.'),
	waterTempC: z
		.number({ error: 'Type the temperature of the water, such as 20 C.' })
		.min(0, 'Water below 0 °C is ice: check the temperature.')
		.max(100, 'Water above 100 °C is steam: check the temperature.')
});
export type DisplacementInput = z.infer<typeof displacementInput>;

/**
 * Volume of a part from the water that it pushed over the brim.
 * Grams of water are not grams of resin: they are divided by water's density at its temperature.
 * @returns volumeMl > 0.
 * @example
 * displacement({ overflowMassG: 118, waterTempC: 21 }).volumeMl; // 118.24
 */
export function displacement(input: DisplacementInput): { volumeMl: number; densityGPerMl: number } {
	const densityGPerMl = waterDensityGPerMl(input.waterTempC);
	return { volumeMl: input.overflowMassG / densityGPerMl, densityGPerMl };
}
