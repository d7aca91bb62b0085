import { frameFor, toFrame } from './frame';
import type { Mesh, Vec3 } from './types';

/** How far a piece reaches in one slice: from, to along its length, then along its width, mm. */
export type Reach = [number, number, number, number];

/** Slices that a piece's outline is kept in. */
const SLICES = 32;

/**
 * Outline of a mesh in slices of equal height, from the top (its pour face) down: the box round each slice,
 * exact for its triangles. Length is the longer way across the whole piece.
 */
export function profile(mesh: Mesh, up: Vec3, slices = SLICES): Reach[] {
	const f = frameFor(up);
	const n = mesh.vertices.length / 3;
	const at: Vec3[] = [];
	const lo: [number, number, number] = [Infinity, Infinity, Infinity];
	const hi: [number, number, number] = [-Infinity, -Infinity, -Infinity];
	for (let i = 0; i < n; i++) {
		const v = mesh.vertices;
		const p = toFrame(f, [v[3 * i]!, v[3 * i + 1]!, v[3 * i + 2]!]);
		at.push(p);
		for (let k = 0; k < 3; k++) {
			if (p[k]! < lo[k]!) lo[k] = p[k]!;
			if (p[k]! > hi[k]!) hi[k] = p[k]!;
		}
	}
	const along = hi[0] - lo[0] >= hi[1] - lo[1] ? 0 : 1;
	const stepMm = (hi[2] - lo[2]) / slices || 1;
	const out = Array.from({ length: slices }, (): Reach => [Infinity, -Infinity, Infinity, -Infinity]);
	const reach = (slice: number, l: number, w: number) => {
		const r = out[slice]!;
		if (l < r[0]) r[0] = l;
		if (l > r[1]) r[1] = l;
		if (w < r[2]) r[2] = w;
		if (w > r[3]) r[3] = w;
	};
	const clamp = (i: number) => Math.min(slices - 1, Math.max(0, i));
	for (const p of at) reach(clamp(Math.floor((hi[2] - p[2]) / stepMm)), p[along], p[1 - along]!);
	// edges that cross from slice to slice reach where they cross
	for (let t = 0; t < mesh.indices.length; t += 3) {
		for (let k = 0; k < 3; k++) {
			const a = at[mesh.indices[t + k]!]!;
			const b = at[mesh.indices[t + ((k + 1) % 3)]!]!;
			const [da, db] = [(hi[2] - a[2]) / stepMm, (hi[2] - b[2]) / stepMm];
			const [first, last] = [Math.ceil(Math.min(da, db)), Math.floor(Math.max(da, db))];
			for (let level = Math.max(1, first); level <= Math.min(slices - 1, last); level++) {
				const share = da === db ? 0 : (level - da) / (db - da);
				const l = a[along] + share * (b[along] - a[along]);
				const w = a[1 - along]! + share * (b[1 - along]! - a[1 - along]!);
				reach(level - 1, l, w);
				reach(level, l, w);
			}
		}
	}
	return out.map((r) => (r[0] <= r[1] ? r : [0, 0, 0, 0]));
}
