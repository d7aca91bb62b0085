import type { Mesh } from './types';

/**
 * A coarser mesh for a quick look in many directions: corners that fall into one cell of a grid become one,
 * triangles that collapse are left out. The outline stays within a cell of where it was.
 * @param cells cells along the longest side
 * @example
 * cluster(cubeMesh, 1).indices.length; // 36
 */
export function cluster(mesh: Mesh, cells: number): Mesh {
	const { vertices: v, indices } = mesh;
	const min = [Infinity, Infinity, Infinity];
	const max = [-Infinity, -Infinity, -Infinity];
	for (let i = 0; i < v.length; i++) {
		const k = i % 3;
		if (v[i]! < min[k]!) min[k] = v[i]!;
		if (v[i]! > max[k]!) max[k] = v[i]!;
	}
	const size = Math.max(max[0]! - min[0]!, max[1]! - min[1]!, max[2]! - min[2]!, 1e-9) / cells;
	const side = cells + 2;
	const slots = new Map<number, number>();
	const of = new Uint32Array(v.length / 3);
	const sums: number[] = [];
	const counts: number[] = [];
	for (let i = 0; i < of.length; i++) {
		const cx = Math.floor((v[3 * i]! - min[0]!) / size);
		const cy = Math.floor((v[3 * i + 1]! - min[1]!) / size);
		const cz = Math.floor((v[3 * i + 2]! - min[2]!) / size);
		const key = (cx * side + cy) * side + cz;
		let slot = slots.get(key);
		if (slot === undefined) {
			slots.set(key, (slot = counts.length));
			counts.push(0);
			sums.push(0, 0, 0);
		}
		of[i] = slot;
		counts[slot]!++;
		for (let k = 0; k < 3; k++) sums[3 * slot + k]! += v[3 * i + k]!;
	}
	const vertices = new Float64Array(sums.length);
	for (let i = 0; i < vertices.length; i++) vertices[i] = sums[i]! / counts[(i / 3) | 0]!;
	const kept: number[] = [];
	for (let t = 0; t < indices.length; t += 3) {
		const a = of[indices[t]!]!;
		const b = of[indices[t + 1]!]!;
		const c = of[indices[t + 2]!]!;
		if (a !== b && b !== c && c !== a) kept.push(a, b, c);
	}
	return { vertices, indices: Uint32Array.from(kept) };
}
