import type { Vec3 } from '../mesh';

/**
 * A camera with square pixels and a lens that bends straight lines evenly round its middle (two terms of D. C. Brown,
 * Photogrammetric Engineering 32 (1966) 444). All in pixels of a picture of this size.
 */
export interface Camera {
	widthPx: number;
	heightPx: number;
	focalPx: number;
	centrePx: readonly [number, number];
	/** Of the squared and of the fourth power of the distance from the middle; below nothing for a barrel. */
	bend: readonly [number, number];
}

/** Where the mat lies as the camera sees it: `R x + t` takes a point of the mat (mm) to the camera's axes (mm). */
export interface Pose {
	/** Row by row. */
	rotation: readonly number[];
	translationMm: Vec3;
}

/** A picture's place in the picture and how far off it is; `depthMm` of nothing or less is behind the camera. */
export interface Seen {
	xPx: number;
	yPx: number;
	depthMm: number;
}

/**
 * Where a point of the mat's space is seen. `into` is written to and returned, so that millions of points cost no
 * memory.
 * @example
 * seenAt({ widthPx: 8, heightPx: 6, focalPx: 10, centrePx: [4, 3], bend: [0, 0] },
 *   { rotation: [1, 0, 0, 0, 1, 0, 0, 0, 1], translationMm: [0, 0, 100] }, 10, 0, 0).xPx; // 5
 */
export function seenAt(
	camera: Camera,
	{ rotation: r, translationMm: t }: Pose,
	x: number,
	y: number,
	z: number,
	into: Seen = { xPx: 0, yPx: 0, depthMm: 0 }
): Seen {
	const depth = r[6]! * x + r[7]! * y + r[8]! * z + t[2];
	const a = (r[0]! * x + r[1]! * y + r[2]! * z + t[0]) / depth;
	const b = (r[3]! * x + r[4]! * y + r[5]! * z + t[1]) / depth;
	const q = a * a + b * b;
	const grown = 1 + q * (camera.bend[0] + q * camera.bend[1]);
	into.xPx = camera.focalPx * grown * a + camera.centrePx[0];
	into.yPx = camera.focalPx * grown * b + camera.centrePx[1];
	into.depthMm = depth;
	return into;
}

/**
 * Where the camera stands in the mat's space, mm.
 * @example
 * standpoint({ rotation: [1, 0, 0, 0, -1, 0, 0, 0, -1], translationMm: [0, 0, 400] })[2]; // 400
 */
export function standpoint({ rotation: r, translationMm: t }: Pose): Vec3 {
	const along = (c: number) => 0 - (r[c]! * t[0] + r[c + 3]! * t[1] + r[c + 6]! * t[2]);
	return [along(0), along(1), along(2)];
}
