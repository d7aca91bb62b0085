/** Faults that a cast can show, by their ids, in the order in which people look for them. */
export const FAULTS = [
	'face-bubbles',
	'inner-bubbles',
	'short-shot',
	'flash',
	'seam-step',
	'soft',
	'foam',
	'warp',
	'crack',
	'ripples',
	'dull-detail',
	'delaminated',
	'sink',
	'thin-places'
] as const;
export type Fault = (typeof FAULTS)[number];

/** Where a fault comes from, by its id. */
export const CAUSE_IDS = [
	'damp-air',
	'damp-face',
	'old-stock',
	'ratio-off',
	'undermixed',
	'not-stirred',
	'cups-swapped',
	'poured-late',
	'no-pressure',
	'pressure-late',
	'pressure-lost',
	'trapped-air',
	'uneven-closing',
	'dirty-mould',
	'wet-release',
	'early-demould',
	'worn-mould',
	'overheated',
	'cold-mould',
	'late-layer',
	'uneven-rolling'
] as const;
export type CauseId = (typeof CAUSE_IDS)[number];
