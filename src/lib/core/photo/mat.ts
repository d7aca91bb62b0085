/** One marker of a mat: its number in the dictionary, its middle and its edge, mm; x to the right, y away from one. */
export interface Marker {
	id: number;
	xMm: number;
	yMm: number;
	edgeMm: number;
}

/** A printed sheet with a ring of markers round an empty square on which the piece stands. */
export interface Mat {
	/** Half of the empty square's edge, mm. */
	middleMm: number;
	/** Half of the printed square's edge, mm. */
	halfMm: number;
	markers: readonly Marker[];
}

/** A ring of `side` markers to a side, corners shared, round a square; numbered from `firstId` on, counter-clockwise. */
function ring(firstId: number, side: number, middleMm: number, gapMm: number, edgeMm: number): Mat {
	const at = middleMm + gapMm + edgeMm / 2;
	const step = (2 * at) / (side - 1);
	const markers: Marker[] = [];
	const corner = [
		[-1, -1, 1, 0],
		[1, -1, 0, 1],
		[1, 1, -1, 0],
		[-1, 1, 0, -1]
	] as const;
	for (const [cx, cy, dx, dy] of corner)
		for (let i = 0; i < side - 1; i++)
			markers.push({
				id: firstId + markers.length,
				xMm: cx * at + dx * i * step,
				yMm: cy * at + dy * i * step,
				edgeMm
			});
	return { middleMm, halfMm: at + edgeMm / 2, markers };
}

/**
 * The mats that can be printed. Each has markers of its own, so that a picture says itself which mat is in it; all
 * leave the margins that any printer needs. The large one is printed whole on A3, or on two sheets that meet in the
 * middle, where no marker is cut.
 */
export const MATS = {
	small: ring(0, 5, 35, 5, 18),
	medium: ring(16, 6, 55, 6, 22),
	large: ring(36, 6, 90, 7, 30)
} as const satisfies Readonly<Record<string, Mat>>;
export type MatSize = keyof typeof MATS;
export const MAT_SIZES = Object.keys(MATS) as MatSize[];

/** Which marker of which mat a number is. */
const MARKER_OF = new Map(
	MAT_SIZES.flatMap((size) => MATS[size].markers.map((marker) => [marker.id, { size, marker }] as const))
);

/**
 * The mat that a marker belongs to and where it lies there; nothing for a number that is on none of ours.
 * @example
 * markerOf(16)?.size; // 'medium'
 */
export const markerOf = (id: number): { size: MatSize; marker: Marker } | undefined => MARKER_OF.get(id);

/**
 * Corners of a marker in the order in which they are found: from its own upper left, clockwise; mm.
 * @example
 * cornersOf(MATS.small.markers[0])[0]; // [ -58, -40 ]
 */
export function cornersOf({ xMm, yMm, edgeMm }: Marker): [number, number][] {
	const h = edgeMm / 2;
	return [
		[xMm - h, yMm + h],
		[xMm + h, yMm + h],
		[xMm + h, yMm - h],
		[xMm - h, yMm - h]
	];
}

/** Length of the ruler on every mat, mm as drawn. */
export const RULER_MM = 100;
