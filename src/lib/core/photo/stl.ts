import type { Mesh } from '../mesh';

/**
 * A mesh as a binary STL file, in millimetres; eighty bytes of head, fifty for each triangle.
 * @example
 * stlBytes(cubeMesh).length; // 684
 */
export function stlBytes({ vertices: v, indices }: Mesh): Uint8Array<ArrayBuffer> {
	const triangles = indices.length / 3;
	const bytes = new Uint8Array(84 + 50 * triangles);
	const view = new DataView(bytes.buffer);
	bytes.set(new TextEncoder().encode('measured from pictures, mm'));
	view.setUint32(80, triangles, true);
	for (let t = 0; t < triangles; t++) {
		const at = 84 + 50 * t;
		const [a, b, c] = [3 * indices[3 * t]!, 3 * indices[3 * t + 1]!, 3 * indices[3 * t + 2]!];
		const u = [v[b]! - v[a]!, v[b + 1]! - v[a + 1]!, v[b + 2]! - v[a + 2]!] as const;
		const w = [v[c]! - v[a]!, v[c + 1]! - v[a + 1]!, v[c + 2]! - v[a + 2]!] as const;
		const n = [u[1] * w[2] - u[2] * w[1], u[2] * w[0] - u[0] * w[2], u[0] * w[1] - u[1] * w[0]] as const;
		const l = Math.hypot(...n) || 1;
		n.forEach((x, i) => view.setFloat32(at + 4 * i, x / l, true));
		[a, b, c].forEach((p, k) => {
			for (let i = 0; i < 3; i++) view.setFloat32(at + 12 + 12 * k + 4 * i, v[p + i]!, true);
		});
	}
	return bytes;
}
