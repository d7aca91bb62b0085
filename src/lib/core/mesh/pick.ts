import type { Mesh, Vec3 } from './types';

/**
 * The first face that a ray meets, over all triangles (Möller & Trumbore, J. Graphics Tools 2 (1997) 21).
 * @param clip faces on the far side of this plane (normal, offset) are not there, as in a cut view
 * @example
 * pick(cubeMesh, [10, 5, 100], [0, 0, -1])?.point; // [10, 5, 40]
 */
export function pick(
	mesh: Mesh,
	origin: Vec3,
	direction: Vec3,
	clip?: { normal: Vec3; offset: number }
): { triangle: number; point: Vec3 } | undefined {
	const { vertices: v, indices } = mesh;
	const [ox, oy, oz] = origin;
	const [dx, dy, dz] = direction;
	let nearest = Infinity;
	let triangle = -1;
	for (let t = 0; t < indices.length; t += 3) {
		const a = 3 * indices[t]!;
		const b = 3 * indices[t + 1]!;
		const c = 3 * indices[t + 2]!;
		const ux = v[b]! - v[a]!;
		const uy = v[b + 1]! - v[a + 1]!;
		const uz = v[b + 2]! - v[a + 2]!;
		const wx = v[c]! - v[a]!;
		const wy = v[c + 1]! - v[a + 1]!;
		const wz = v[c + 2]! - v[a + 2]!;
		const px = dy * wz - dz * wy;
		const py = dz * wx - dx * wz;
		const pz = dx * wy - dy * wx;
		const det = ux * px + uy * py + uz * pz;
		if (det === 0) continue;
		const sx = ox - v[a]!;
		const sy = oy - v[a + 1]!;
		const sz = oz - v[a + 2]!;
		const m = (sx * px + sy * py + sz * pz) / det;
		if (m < 0 || m > 1) continue;
		const qx = sy * uz - sz * uy;
		const qy = sz * ux - sx * uz;
		const qz = sx * uy - sy * ux;
		const n = (dx * qx + dy * qy + dz * qz) / det;
		if (n < 0 || m + n > 1) continue;
		const far = (wx * qx + wy * qy + wz * qz) / det;
		if (!(far > 1e-9 && far < nearest)) continue;
		if (clip) {
			const h =
				clip.normal[0] * (ox + far * dx) +
				clip.normal[1] * (oy + far * dy) +
				clip.normal[2] * (oz + far * dz);
			if (h + clip.offset < 0) continue;
		}
		nearest = far;
		triangle = t / 3;
	}
	return triangle < 0
		? undefined
		: { triangle, point: [ox + nearest * dx, oy + nearest * dy, oz + nearest * dz] };
}
