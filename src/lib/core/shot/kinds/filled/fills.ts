import type { CautionTopic } from '../../../cautions';

/** What a shell is filled with, and its density in place (from memory, field values). */
export const FILLS = {
	plaster: { densityGPerMl: 1.7, words: 'plaster, wet' },
	foam: { densityGPerMl: 0.12, words: 'foam, risen' },
	'loaded resin': { densityGPerMl: 1.5, words: 'resin with filler' },
	water: { densityGPerMl: 1, words: 'water-extended' }
} as const;
export type Fill = keyof typeof FILLS;
export const FILL_KINDS = Object.keys(FILLS) as [Fill, ...Fill[]];

/** What is to be heeded where a shell is filled; of a loaded resin besides what its own parts ask for. */
export const FILL_CAUTIONS: Readonly<Record<Fill, readonly CautionTopic[]>> = {
	plaster: ['powder', 'plaster'],
	foam: ['isocyanate', 'heat'],
	'loaded resin': ['powder', 'heat'],
	water: ['catalyst', 'styrene', 'heat']
};

/** Density of a foam before it rises, g/ml (from memory). */
export const FOAM_LIQUID_G_PER_ML = 1.1;
