import type { TriangleSoup } from './types';

/**
 * Volume and area straight from a file's triangles, before corners are shared: the first figure that a
 * maker sees while holes and shells are still being looked for. In the file's own unit, cubed and squared.
 */
export function quickMeasure({ positions: p }: TriangleSoup): { volume: number; area: number } {
	const [ox, oy, oz] = [p[0] ?? 0, p[1] ?? 0, p[2] ?? 0];
	let six = 0;
	let twice = 0;
	for (let i = 0; i < p.length; i += 9) {
		const ax = p[i]! - ox;
		const ay = p[i + 1]! - oy;
		const az = p[i + 2]! - oz;
		const ux = p[i + 3]! - ox - ax;
		const uy = p[i + 4]! - oy - ay;
		const uz = p[i + 5]! - oz - az;
		const wx = p[i + 6]! - ox - ax;
		const wy = p[i + 7]! - oy - ay;
		const wz = p[i + 8]! - oz - az;
		const nx = uy * wz - uz * wy;
		const ny = uz * wx - ux * wz;
		const nz = ux * wy - uy * wx;
		six += ax * nx + ay * ny + az * nz;
		twice += Math.sqrt(nx * nx + ny * ny + nz * nz);
	}
	return { volume: Math.abs(six) / 6, area: twice / 2 };
}
