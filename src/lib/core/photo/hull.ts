import type { Vec3 } from '../mesh';
import { seenAt, type Camera, type Pose, type Seen } from './camera';
import { insideAt, type Rim } from './rim';

/** A picture as the body is cut from it: where it was taken from, and the piece's outline in it. */
export interface View {
	camera: Camera;
	pose: Pose;
	rim: Rim;
}

/** Samples of how far inside the body a point is, mm, on a grid of equal steps; x runs fastest. */
export interface Body {
	min: Vec3;
	stepMm: number;
	size: readonly [number, number, number];
	insideMm: Float32Array;
}

/** A box in the mat's space, mm. */
export interface Box {
	min: Vec3;
	max: Vec3;
}

/** Two distances differ by no more than this times the way between their points, over all of a picture's field. */
const STEEPEST = 1.7;

/**
 * How far inside the body a point is, mm: the least that any picture says, and how far above the mat. What lies behind
 * a camera is outside.
 */
export function insideMm(views: readonly View[], x: number, y: number, z: number, seen: Seen): number {
	let least = z;
	for (const { camera, pose, rim } of views) {
		seenAt(camera, pose, x, y, z, seen);
		if (!(seen.depthMm > 0)) return -1e6;
		const inside = (insideAt(rim, seen.xPx, seen.yPx) * seen.depthMm) / camera.focalPx;
		if (inside < least) least = inside;
	}
	return least;
}

/**
 * The body that all outlines leave (visual hull: A. Laurentini, IEEE PAMI 16 (1994) 150), coarse to fine: a cube that
 * is all in or all out is never looked into.
 * @param steps samples along the longest edge of the box, 8 … 320
 * @param progress told how much of it is done, 0 … 1; throw from it to stop
 * @example
 * hullOf(ballViews, { min: [-30, -30, 0], max: [30, 30, 45] }, 12).size; // [ 13, 13, 10 ]
 */
export function hullOf(
	views: readonly View[],
	box: Box,
	steps: number,
	progress?: (share: number) => void
): Body {
	const edges = box.max.map((hi, i) => hi - box.min[i]!) as [number, number, number];
	const stepMm = Math.max(...edges) / steps;
	const size = edges.map((edge) => Math.ceil(edge / stepMm) + 1) as [number, number, number];
	const [nx, ny, nz] = size;
	const insideOf = new Float32Array(nx * ny * nz);
	const seen: Seen = { xPx: 0, yPx: 0, depthMm: 0 };
	const [ox, oy, oz] = box.min;
	const fill = (x0: number, y0: number, z0: number, edge: number) => {
		const [x1, y1, z1] = [Math.min(nx, x0 + edge), Math.min(ny, y0 + edge), Math.min(nz, z0 + edge)];
		if (x0 >= nx || y0 >= ny || z0 >= nz) return;
		const half = (edge - 1) / 2;
		const middle = insideMm(
			views,
			ox + (x0 + half) * stepMm,
			oy + (y0 + half) * stepMm,
			oz + (z0 + half) * stepMm,
			seen
		);
		const reach = half * stepMm * Math.sqrt(3) * STEEPEST;
		if (edge === 1 || Math.abs(middle) > reach + stepMm * 2) {
			for (let z = z0; z < z1; z++)
				for (let y = y0; y < y1; y++) insideOf.fill(middle, (z * ny + y) * nx + x0, (z * ny + y) * nx + x1);
			return;
		}
		const next = edge / 2;
		for (let c = 0; c < 8; c++)
			fill(x0 + (c & 1) * next, y0 + ((c >> 1) & 1) * next, z0 + ((c >> 2) & 1) * next, next);
	};
	const block = 16;
	for (let z = 0; z < nz; z += block) {
		for (let y = 0; y < ny; y += block) for (let x = 0; x < nx; x += block) fill(x, y, z, block);
		progress?.(Math.min(1, (z + block) / nz));
	}
	return { min: box.min, stepMm, size, insideMm: insideOf };
}

/**
 * The least box of a coarse look that holds the body, with a step to spare; nothing where the outlines leave nothing.
 * @example
 * boxOf(hullOf(ballViews, { min: [-60, -60, 0], max: [60, 60, 90] }, 48)).max[2] < 50; // true
 */
export function boxOf({ min, stepMm, size: [nx, ny, nz], insideMm: inside }: Body): Box | undefined {
	const lo = [Infinity, Infinity, Infinity];
	const hi = [-Infinity, -Infinity, -Infinity];
	for (let z = 0, i = 0; z < nz; z++)
		for (let y = 0; y < ny; y++)
			for (let x = 0; x < nx; x++, i++) {
				// half a step out: what is thinner than the coarse grid is not cut off
				if (inside[i]! < -stepMm) continue;
				[x, y, z].forEach((c, axis) => {
					lo[axis] = Math.min(lo[axis]!, c);
					hi[axis] = Math.max(hi[axis]!, c);
				});
			}
	if (lo[0] === Infinity) return undefined;
	const edge = (at: readonly number[], by: number) =>
		at.map((c, axis) => min[axis]! + (c + by) * stepMm) as unknown as Vec3;
	return { min: edge(lo, -1), max: edge(hi, 1) };
}

/** How far inside the body a place is by its nearest sample, mm. */
export function gridAt(
	{ min, stepMm, size: [nx, ny, nz], insideMm }: Body,
	x: number,
	y: number,
	z: number
): number {
	const i = Math.round((x - min[0]) / stepMm);
	const j = Math.round((y - min[1]) / stepMm);
	const k = Math.round((z - min[2]) / stepMm);
	return i < 0 || j < 0 || k < 0 || i >= nx || j >= ny || k >= nz ? -1e6 : insideMm[(k * ny + j) * nx + i]!;
}
