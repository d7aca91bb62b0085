import type { Mesh, Vec3 } from './types';

export interface Measures {
	/** Enclosed volume, ml; negative when the faces look inwards. */
	volumeMl: number;
	areaMm2: number;
	min: Vec3;
	max: Vec3;
	/** Centre of the enclosed volume; of the bounds when nothing is enclosed. */
	centroid: Vec3;
}

/**
 * Volume, area, bounds and centroid of a closed mesh in one pass: signed tetrahedra against the middle of
 * its bounds (divergence theorem; the middle keeps the sums small, so nothing cancels far from the origin).
 * @example
 * measure(cubeMesh).volumeMl; // 64
 */
export function measure(mesh: Mesh): Measures {
	const { vertices: v, indices } = mesh;
	const min: [number, number, number] = [Infinity, Infinity, Infinity];
	const max: [number, number, number] = [-Infinity, -Infinity, -Infinity];
	for (let i = 0; i < v.length; i += 3) {
		for (let k = 0; k < 3; k++) {
			const x = v[i + k]!;
			if (x < min[k]!) min[k] = x;
			if (x > max[k]!) max[k] = x;
		}
	}
	const ox = (min[0] + max[0]) / 2;
	const oy = (min[1] + max[1]) / 2;
	const oz = (min[2] + max[2]) / 2;
	let six = 0;
	let twiceArea = 0;
	let mx = 0;
	let my = 0;
	let mz = 0;
	for (let t = 0; t < indices.length; t += 3) {
		const a = 3 * indices[t]!;
		const b = 3 * indices[t + 1]!;
		const c = 3 * indices[t + 2]!;
		const ax = v[a]! - ox;
		const ay = v[a + 1]! - oy;
		const az = v[a + 2]! - oz;
		const ux = v[b]! - ox - ax;
		const uy = v[b + 1]! - oy - ay;
		const uz = v[b + 2]! - oz - az;
		const wx = v[c]! - ox - ax;
		const wy = v[c + 1]! - oy - ay;
		const wz = v[c + 2]! - oz - az;
		const nx = uy * wz - uz * wy;
		const ny = uz * wx - ux * wz;
		const nz = ux * wy - uy * wx;
		const tet = ax * nx + ay * ny + az * nz;
		six += tet;
		twiceArea += Math.sqrt(nx * nx + ny * ny + nz * nz);
		// the tetrahedron's own centre: a quarter of (o + a + b + c), with o at the origin
		mx += tet * (3 * ax + ux + wx);
		my += tet * (3 * ay + uy + wy);
		mz += tet * (3 * az + uz + wz);
	}
	const volume = six / 6;
	const enclosed = Math.abs(volume) > 1e-12;
	return {
		volumeMl: volume / 1000,
		areaMm2: twiceArea / 2,
		min,
		max,
		centroid: enclosed ? [ox + mx / (4 * six), oy + my / (4 * six), oz + mz / (4 * six)] : [ox, oy, oz]
	};
}
