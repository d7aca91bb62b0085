/** Faults that a cast can show, in the order in which people look for them. */
export const FAULTS = [
	'bubbles on the face',
	'bubbles inside',
	'short shot',
	'flash',
	'seam step',
	'soft or tacky',
	'foam',
	'warp',
	'crack',
	'ripples',
	'dull or torn detail',
	'delaminated',
	'sink',
	'thin places'
] as const;
