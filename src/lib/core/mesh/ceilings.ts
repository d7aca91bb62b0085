import { dot, unit } from './frame';
import type { Mesh, Vec3 } from './types';

/** A nearly level face under which bubbles gather in spite of vents. */
export interface Ceiling {
	/** Middle of it, mm. */
	centre: Vec3;
	areaMm2: number;
	/** Mean slope against level, degrees. */
	slopeDeg: number;
	/** How much more the piece must be tilted for the bubbles to run, degrees. */
	tiltDeg: number;
	/** Level direction in which the bubbles will then rise; the side to lift. */
	towards: Vec3;
	triangles: Uint32Array;
}

/** Under this slope bubbles stay (common practice, no source). */
export const LEVEL_DEG = 8;
/** Slope at which they run off (common practice, no source). */
export const RUNS_DEG = 12;
/** Smaller patches are no bubble catchers: a few mm each way (common practice, no source). */
const LEAST_CEILING_MM2 = 25;
/** What lies this near to the top is the pour face itself, mm. */
const POUR_FACE_MM = 0.5;

const RAD = Math.PI / 180;

/**
 * Nearly level ceilings of the cavity: faces that look up within a few degrees, in connected patches.
 * @example
 * findCeilings(cubeMesh, [0, 0, 1]).length; // 0
 */
export function findCeilings(mesh: Mesh, upRaw: Vec3): Ceiling[] {
	const up = unit(upRaw);
	const { vertices: v, indices } = mesh;
	const at = (corner: number): Vec3 => [v[3 * corner]!, v[3 * corner + 1]!, v[3 * corner + 2]!];
	let topMm = -Infinity;
	for (let i = 0; i < v.length; i += 3)
		topMm = Math.max(topMm, v[i]! * up[0] + v[i + 1]! * up[1] + v[i + 2]! * up[2]);
	const level: number[] = [];
	const least = Math.cos(LEVEL_DEG * RAD);
	const normal = new Float64Array(3);
	for (let t = 0; t < indices.length; t += 3) {
		if (faceNormal(mesh, t, normal) === 0) continue;
		if (normal[0]! * up[0] + normal[1]! * up[1] + normal[2]! * up[2] < least) continue;
		if (topMm - dot(up, at(indices[t]!)) > POUR_FACE_MM) level.push(t);
	}
	const areaMm2 = (triangles: Uint32Array) =>
		triangles.reduce((sum, t) => sum + faceNormal(mesh, t, normal) / 2, 0);
	return (
		patches(indices, level)
			// small ones first: a sliver has no direction to speak of
			.filter((triangles) => areaMm2(triangles) >= LEAST_CEILING_MM2)
			.map((triangles) => ceilingOf(mesh, triangles, up))
			.sort((a, b) => b.areaMm2 - a.areaMm2)
	);
}

/** Twice the area of a triangle; its unit normal in `out`. */
export function faceNormal(mesh: Mesh, t: number, out: Float64Array): number {
	const { vertices: v, indices } = mesh;
	const a = 3 * indices[t]!;
	const b = 3 * indices[t + 1]!;
	const c = 3 * indices[t + 2]!;
	const ux = v[b]! - v[a]!;
	const uy = v[b + 1]! - v[a + 1]!;
	const uz = v[b + 2]! - v[a + 2]!;
	const wx = v[c]! - v[a]!;
	const wy = v[c + 1]! - v[a + 1]!;
	const wz = v[c + 2]! - v[a + 2]!;
	const nx = uy * wz - uz * wy;
	const ny = uz * wx - ux * wz;
	const nz = ux * wy - uy * wx;
	const length = Math.sqrt(nx * nx + ny * ny + nz * nz);
	if (length > 0) {
		out[0] = nx / length;
		out[1] = ny / length;
		out[2] = nz / length;
	}
	return length;
}

/** Groups triangles (by the place of their first index) that share a corner. */
function patches(indices: Uint32Array, chosen: readonly number[]): Uint32Array[] {
	const owner = new Map<number, number>();
	const parent = chosen.map((_, i) => i);
	const find = (i: number): number => {
		let at = i;
		while (parent[at] !== at) at = parent[at] = parent[parent[at]!]!;
		return at;
	};
	chosen.forEach((t, i) => {
		for (let k = 0; k < 3; k++) {
			const other = owner.get(indices[t + k]!);
			if (other === undefined) owner.set(indices[t + k]!, i);
			else parent[find(i)] = find(other);
		}
	});
	const groups = new Map<number, number[]>();
	chosen.forEach((t, i) => {
		const root = find(i);
		const list = groups.get(root);
		if (list) list.push(t);
		else groups.set(root, [t]);
	});
	return [...groups.values()].map((list) => Uint32Array.from(list));
}

function ceilingOf(mesh: Mesh, triangles: Uint32Array, up: Vec3): Ceiling {
	const { vertices: v, indices } = mesh;
	const normal = new Float64Array(3);
	const sum: [number, number, number] = [0, 0, 0];
	const middle: [number, number, number] = [0, 0, 0];
	let twice = 0;
	for (const t of triangles) {
		const weight = faceNormal(mesh, t, normal);
		twice += weight;
		for (let k = 0; k < 3; k++) {
			sum[k]! += weight * normal[k]!;
			for (let corner = 0; corner < 3; corner++)
				middle[k]! += (weight / 3) * v[3 * indices[t + corner]! + k]!;
		}
	}
	const mean = unit(sum);
	const rise = dot(mean, up);
	const slopeDeg = Math.acos(Math.min(1, rise)) / RAD;
	// the ceiling rises against the level part of its normal
	const lean: Vec3 = [rise * up[0] - mean[0], rise * up[1] - mean[1], rise * up[2] - mean[2]];
	const level = Math.hypot(...lean);
	const helper: Vec3 = Math.abs(up[0]) < 0.7 ? [1, 0, 0] : [0, 1, 0];
	const along = dot(helper, up);
	const towards =
		level > 1e-3
			? unit(lean)
			: unit([helper[0] - along * up[0], helper[1] - along * up[1], helper[2] - along * up[2]]);
	return {
		centre: [middle[0] / twice, middle[1] / twice, middle[2] / twice],
		areaMm2: twice / 2,
		slopeDeg,
		tiltDeg: Math.max(0, RUNS_DEG - slopeDeg),
		towards,
		triangles
	};
}
