/** Where the wall of a hollow cast is measured once it is out. */
export const WALL_SPOTS = ['left', 'right', 'middle', 'rim', 'thinnest'] as const;
export type WallSpot = (typeof WALL_SPOTS)[number];
export const WALL_SPOT_WORDS: Readonly<Record<WallSpot, string>> = {
	left: 'Left side',
	right: 'Right side',
	middle: 'Middle',
	rim: 'Rim',
	thinnest: 'Thinnest place'
};

/** Less than this of the planned wall is thin, more than its inverse is thick (a default of ours). */
const THIN_OF = 0.75;

/**
 * How a wall that was measured stands against the planned one.
 * @example
 * wallStands(2.5, 4); // 'thin'
 */
export function wallStands(realMm: number, plannedMm: number): 'thin' | 'as planned' | 'thick' {
	if (realMm < THIN_OF * plannedMm) return 'thin';
	return realMm > plannedMm / THIN_OF ? 'thick' : 'as planned';
}
