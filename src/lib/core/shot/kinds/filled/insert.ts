import { z } from 'zod';
import { solidVolumeMl } from '../../../volume';

/** Density of what is set in, g/ml (handbook values, from memory; wood differs by a third either way). */
export const INSERT_DENSITIES = {
	steel: 7.85,
	lead: 11.34,
	brass: 8.5,
	copper: 8.96,
	aluminium: 2.7,
	magnet: 7.5,
	glass: 2.5,
	'printed plastic': 1.2,
	wood: 0.6
} as const;
export type InsertMaterial = keyof typeof INSERT_DENSITIES;
export const INSERT_MATERIALS = Object.keys(INSERT_DENSITIES) as [InsertMaterial, ...InsertMaterial[]];

/** How it is known: by its weight, as a rod or a ball by size, or by weight and volume of its own. */
export const INSERT_WAYS = ['both', 'weight', 'rod', 'ball'] as const;

const size = (what: string) =>
	z
		.number({ error: `Type its ${what}, such as 2 mm or 1/8 in.` })
		.positive(`Its ${what} must be more than nothing.`)
		.max(5000, 'Over 5 m: check the unit.')
		.optional();

/** Something set into a cast: wire, a weight, a hanging plate. */
export const insertInput = z.object({
	name: z.string().trim().min(1, 'Say what is set in.').max(60, 'Keep it under 60 characters.'),
	massG: z
		.number({ error: 'Type what it weighs, such as 12 g.' })
		.min(0, 'It cannot weigh less than nothing.')
		.max(1e6, 'Over a tonne: check the unit.'),
	volumeMl: z
		.number({ error: 'Type its volume, such as 2 ml: by water, or choose what it is made of.' })
		.min(0, 'It cannot take less than nothing.')
		.max(1e6, 'Over a cubic metre: check the unit.'),
	by: z.enum(INSERT_WAYS).optional(),
	material: z.enum(INSERT_MATERIALS).optional(),
	diameterMm: size('diameter'),
	lengthMm: size('length')
});
export type Insert = z.output<typeof insertInput>;

/**
 * Weight g and volume ml of what is set in, as far as what is typed says: by its weight and material, or by its size
 * and material. What is not known yet is not a number, so that it is asked for and never taken as nothing.
 * @example
 * settleInsert({ name: 'wire', by: 'rod', material: 'steel', diameterMm: 2, lengthMm: 100, massG: 0, volumeMl: 0 }).massG; // 2.466
 */
export function settleInsert(insert: Insert): Insert {
	const { by = 'both', material, massG, diameterMm, lengthMm } = insert;
	if (by === 'both') return insert;
	const densityGPerMl = material === undefined ? NaN : INSERT_DENSITIES[material];
	if (by === 'weight') return { ...insert, volumeMl: massG / densityGPerMl };
	const known = diameterMm! > 0 && (by === 'ball' || lengthMm! > 0);
	const volumeMl = !known
		? NaN
		: by === 'ball'
			? solidVolumeMl({ shape: 'ball', diameterMm: diameterMm! })
			: solidVolumeMl({ shape: 'tube', diameterMm: diameterMm!, heightMm: lengthMm! });
	return { ...insert, volumeMl, massG: volumeMl * densityGPerMl };
}
