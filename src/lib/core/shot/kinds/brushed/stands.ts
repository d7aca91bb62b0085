/** What faces are like, and how stiff the mix must be for them (common practice, no source). */
export const STANDS = {
	level: { needs: 'creamy', words: 'level faces' },
	upright: { needs: 'paste', words: 'upright faces' }
} as const;
export type Stands = keyof typeof STANDS;
