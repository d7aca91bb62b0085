/** What faces are like, and how stiff the mix must be for them (common practice, no source). */
export const STANDS = {
	level: { needs: 'creamy', words: 'level faces' },
	upright: { needs: 'paste', words: 'upright faces' }
} as const;
export type Stands = keyof typeof STANDS;

/** One coat on level faces where nobody typed it, mm (a default of ours). */
export const LEVEL_COAT_MM = 2;
/** On upright faces so much of what stays up is laid, and no more than this, mm (defaults of ours). */
export const OF_STANDING = 0.8;
export const MOST_COAT_MM = 3;
/** Stippled and spread by one pair of hands, mm² a second: 300 cm² a minute (a default of ours). */
export const SPREAD_MM2_PER_S = 500;
