import { faceNormal } from './ceilings';
import { cutColumns, type Columns } from './columns';
import { frameFor, toFrame, unit } from './frame';
import type { Mesh, Vec3 } from './types';

export interface Undercuts {
	/** Share of the area that neither half of a two-part mould reaches when pulled along this line. */
	share: number;
	/** Largest way in under an overhang, mm: how far the rubber has to stretch. */
	depthMm: number;
	areaMm2: number;
	/** One for each triangle: 1 where it is undercut. */
	undercut: Uint8Array;
}

/**
 * Undercuts for a mould that opens along a direction, both ways: a face is undercut when material stands
 * above it and below it along the pull, so that neither half slides off.
 * @param pull direction in which one half is pulled; the other goes the opposite way
 * @example
 * findUndercuts(cubeMesh, [0, 0, 1], 64).share; // 0
 */
export const findUndercuts = (mesh: Mesh, pull: Vec3, cells = 256): Undercuts =>
	undercutsOf(mesh, cutColumns(mesh, frameFor(pull), cells));

/**
 * The same by columns that were cut along the pull already.
 * @example
 * undercutsOf(cubeMesh, cutColumns(cubeMesh, frameFor([0, 0, 1]), 64)).share; // 0
 */
export function undercutsOf(mesh: Mesh, columns: Columns): Undercuts {
	const { start, bottom, top, frame, cellMm, nx, ny } = columns;
	const { vertices: v, indices } = mesh;
	const undercut = new Uint8Array(indices.length / 3);
	const normal = new Float64Array(3);
	let area = 0;
	let hidden = 0;
	// a step off the face, so that a steep face is looked at from the column beside it
	const step = 0.75 * cellMm;
	for (let t = 0; t < indices.length; t += 3) {
		const twice = faceNormal(mesh, t, normal);
		area += twice / 2;
		const p: [number, number, number] = [0, 0, 0];
		for (let k = 0; k < 3; k++)
			p[k] =
				(v[3 * indices[t]! + k]! + v[3 * indices[t + 1]! + k]! + v[3 * indices[t + 2]! + k]!) / 3 +
				step * normal[k]!;
		const [x, y, z] = toFrame(frame, p);
		const i = Math.round((x - columns.x0) / cellMm);
		const j = Math.round((y - columns.y0) / cellMm);
		if (i < 0 || j < 0 || i >= nx || j >= ny) continue;
		let above = false;
		let below = false;
		for (let k = start[j * nx + i]!; k < start[j * nx + i + 1]!; k++) {
			if (bottom[k]! > z) above = true;
			if (top[k]! < z) below = true;
		}
		if (above && below) {
			undercut[t / 3] = 1;
			hidden += twice / 2;
		}
	}
	return {
		share: area > 0 ? hidden / area : 0,
		depthMm: overhangDepthMm(columns),
		areaMm2: hidden,
		undercut
	};
}

/** How far it is, at most, from a gap between two pieces of a column out to where the pull is free, mm. */
function overhangDepthMm(c: Columns): number {
	const cells = c.nx * c.ny;
	/** Middle of the widest gap of each column; NaN where there is none. */
	const middle = new Float64Array(cells).fill(NaN);
	for (let cell = 0; cell < cells; cell++) {
		let widest = c.cellMm;
		for (let k = c.start[cell]! + 1; k < c.start[cell + 1]!; k++) {
			const gap = c.bottom[k]! - c.top[k - 1]!;
			if (gap > widest) [widest, middle[cell]] = [gap, (c.bottom[k]! + c.top[k - 1]!) / 2];
		}
	}
	const isGap = (cell: number) => !Number.isNaN(middle[cell]!);
	const freeAt = (cell: number, height: number) => {
		for (let k = c.start[cell]!; k < c.start[cell + 1]!; k++)
			if (c.bottom[k]! <= height && c.top[k]! >= height) return false;
		return true;
	};
	const seen = new Uint8Array(cells);
	let front: number[] = [];
	for (let cell = 0; cell < cells; cell++) {
		if (!isGap(cell)) continue;
		const around = neighbours(c, cell);
		if (around.length === 4 && !around.some((o) => !isGap(o) && freeAt(o, middle[cell]!))) continue;
		seen[cell] = 1;
		front.push(cell);
	}
	// breadth first from the open rim inwards; every other step goes diagonally too, which keeps rings round
	let depth = 0;
	while (front.length > 0) {
		depth++;
		const next: number[] = [];
		for (const cell of front)
			for (const o of neighbours(c, cell, depth % 2 === 0))
				if (isGap(o) && !seen[o]) {
					seen[o] = 1;
					next.push(o);
				}
		front = next;
	}
	return depth * c.cellMm;
}

function neighbours(c: Columns, cell: number, diagonal = false): number[] {
	const x = cell % c.nx;
	const out: number[] = [];
	if (x > 0) out.push(cell - 1);
	if (x < c.nx - 1) out.push(cell + 1);
	if (cell >= c.nx) out.push(cell - c.nx);
	if (cell < c.nx * (c.ny - 1)) out.push(cell + c.nx);
	if (diagonal)
		for (const o of [...out.slice(-2)])
			if (Math.abs(o - cell) === c.nx) {
				if (x > 0) out.push(o - 1);
				if (x < c.nx - 1) out.push(o + 1);
			}
	return out;
}

/**
 * Parting line of a two-part mould: edges between a face that looks along the pull and one that looks
 * against it (the silhouette), as pairs of points.
 * @example
 * partingLine(
 *   rotated(cubeMesh, [
 *     [1, 0, 0],
 *     [0, 0.8, -0.6],
 *     [0, 0.6, 0.8]
 *   ]),
 *   [0, 0, 1]
 * ).length / 6; // 6
 */
export function partingLine(mesh: Mesh, pullRaw: Vec3, most = 200_000): Float32Array {
	const pull = unit(pullRaw);
	const { vertices: v, indices } = mesh;
	const side = new Int8Array(indices.length / 3);
	const normal = new Float64Array(3);
	for (let t = 0; t < indices.length; t += 3) {
		faceNormal(mesh, t, normal);
		side[t / 3] = normal[0]! * pull[0] + normal[1]! * pull[1] + normal[2]! * pull[2] >= 0 ? 1 : -1;
	}
	// only edges of faces that look along the pull are kept, until one that looks against it asks for them
	const corners = v.length / 3;
	const along = new Set<number>();
	const key = (a: number, b: number) => a * corners + b;
	for (let i = 0; i < indices.length; i++)
		if (side[(i / 3) | 0] === 1) along.add(key(indices[i]!, indices[i % 3 === 2 ? i - 2 : i + 1]!));
	const out: number[] = [];
	for (let i = 0; i < indices.length && out.length < 6 * most; i++) {
		if (side[(i / 3) | 0] === 1) continue;
		const a = indices[i]!;
		const b = indices[i % 3 === 2 ? i - 2 : i + 1]!;
		if (!along.has(key(b, a))) continue;
		out.push(v[3 * a]!, v[3 * a + 1]!, v[3 * a + 2]!, v[3 * b]!, v[3 * b + 1]!, v[3 * b + 2]!);
	}
	return Float32Array.from(out);
}
