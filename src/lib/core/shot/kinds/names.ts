/** The ways in which a piece is built up. */
export const SHOT_KINDS = ['solid', 'rotocast', 'filled', 'clear', 'cold', 'brushed'] as const;
export type ShotKind = (typeof SHOT_KINDS)[number];
