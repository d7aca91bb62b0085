import type { Mesh } from '../mesh';

/** One step inwards, one a little farther outwards: what is rough goes, what is large stays (G. Taubin, SIGGRAPH 95, 351). */
const STEPS = [0.5, -0.53] as const;

/**
 * A mesh with its roughness smoothed and its size kept. Corners that lie on the mat stay on it.
 * @param rounds pairs of steps
 * @param matMm what lies no higher than this is on the mat, mm
 * @example
 * smoothed(cubeMesh, 1, -1).indices.length; // 36
 */
export function smoothed({ vertices, indices }: Mesh, rounds: number, matMm: number): Mesh {
	const n = vertices.length / 3;
	const neighbours = new Int32Array(n);
	const from = vertices.slice();
	const sum = new Float64Array(3 * n);
	for (let t = 0; t < indices.length; t++) neighbours[indices[t]!]! += 2;
	for (let round = 0; round < 2 * rounds; round++) {
		sum.fill(0);
		for (let t = 0; t < indices.length; t += 3)
			for (let k = 0; k < 3; k++) {
				const [a, b, c] = [indices[t + k]!, indices[t + ((k + 1) % 3)]!, indices[t + ((k + 2) % 3)]!];
				for (let axis = 0; axis < 3; axis++) sum[3 * a + axis]! += from[3 * b + axis]! + from[3 * c + axis]!;
			}
		const share = STEPS[round % 2]!;
		for (let i = 0; i < n; i++) {
			const onMat = vertices[3 * i + 2]! <= matMm;
			for (let axis = 0; axis < (onMat ? 2 : 3); axis++) {
				const j = 3 * i + axis;
				from[j]! += share * (sum[j]! / neighbours[i]! - from[j]!);
			}
		}
	}
	return { vertices: from, indices };
}
