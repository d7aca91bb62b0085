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
