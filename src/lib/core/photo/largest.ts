import type { Mesh } from '../mesh';

/** A body of less than so small a share of the largest is a speck: where outlines graze each other, not a part of the piece. */
const SPECK = 0.01;

/** A mesh without its specks; corners that belong to none are dropped. */
export function withoutSpecks({ vertices, indices }: Mesh): Mesh {
	const root = Int32Array.from({ length: vertices.length / 3 }, (_, i) => i);
	const find = (i: number): number => {
		while (root[i] !== i) i = root[i] = root[root[i]!]!;
		return i;
	};
	for (let t = 0; t < indices.length; t += 3) {
		const a = find(indices[t]!);
		for (const k of [1, 2]) root[find(indices[t + k]!)] = a;
	}
	const triangles = new Map<number, number>();
	for (let t = 0; t < indices.length; t += 3) {
		const r = find(indices[t]!);
		triangles.set(r, (triangles.get(r) ?? 0) + 1);
	}
	const most = Math.max(0, ...triangles.values());
	const place = new Int32Array(vertices.length / 3).fill(-1);
	const [at, faces]: [number[], number[]] = [[], []];
	for (let t = 0; t < indices.length; t += 3) {
		if (triangles.get(find(indices[t]!))! < SPECK * most) continue;
		for (let k = 0; k < 3; k++) {
			const i = indices[t + k]!;
			if (place[i]! < 0) {
				place[i] = at.length / 3;
				at.push(vertices[3 * i]!, vertices[3 * i + 1]!, vertices[3 * i + 2]!);
			}
			faces.push(place[i]!);
		}
	}
	return { vertices: Float64Array.from(at), indices: Uint32Array.from(faces) };
}
