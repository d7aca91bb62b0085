import type { Vec3 } from './types';

/** Three directions at right angles; `w` is up. */
export interface Frame {
	u: Vec3;
	v: Vec3;
	w: Vec3;
}

/**
 * Dot product.
 * @example
 * dot([1, 2, 3], [4, 5, 6]); // 32
 */
export const dot = (a: Vec3, b: Vec3) => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
/**
 * Cross product.
 * @example
 * cross([1, 0, 0], [0, 1, 0]); // [0, 0, 1]
 */
export const cross = (a: Vec3, b: Vec3): Vec3 => [
	a[1] * b[2] - a[2] * b[1],
	a[2] * b[0] - a[0] * b[2],
	a[0] * b[1] - a[1] * b[0]
];

/**
 * A direction of length one. @throws RangeError for a direction that is none
 * @example
 * unit([0, 3, 4]); // [0, 0.6, 0.8]
 */
export function unit(a: Vec3): Vec3 {
	const length = Math.hypot(...a);
	if (!(length > 1e-12) || !Number.isFinite(length))
		throw new RangeError(`unit: a direction is needed, got ${a.join(', ')}`);
	return [a[0] / length, a[1] / length, a[2] / length];
}

/**
 * A right-handed frame whose third direction is the one given.
 * @example
 * frameFor([0, 0, 2]); // { u: [0, -1, 0], v: [1, 0, 0], w: [0, 0, 1] }
 */
export function frameFor(up: Vec3): Frame {
	const w = unit(up);
	const helper: Vec3 = Math.abs(w[0]) < 0.7 ? [1, 0, 0] : [0, 1, 0];
	const u = unit(cross(helper, w));
	return { u, v: cross(w, u), w };
}

/**
 * A point in the frame's own coordinates.
 * @example
 * toFrame(frameFor([0, 0, 1]), [0, 0, 5]); // [0, 0, 5]
 */
export function toFrame(f: Frame, p: Vec3): Vec3 {
	return [dot(f.u, p), dot(f.v, p), dot(f.w, p)];
}

/**
 * A point of the frame back in space.
 * @example
 * fromFrame(frameFor([0, 0, 1]), [0, 0, 5]); // [0, 0, 5]
 */
export function fromFrame(f: Frame, p: Vec3): Vec3 {
	return [
		f.u[0] * p[0] + f.v[0] * p[1] + f.w[0] * p[2],
		f.u[1] * p[0] + f.v[1] * p[1] + f.w[1] * p[2],
		f.u[2] * p[0] + f.v[2] * p[1] + f.w[2] * p[2]
	];
}
