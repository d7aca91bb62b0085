import { isBinaryStl } from './read/stl';
import type { TriangleSoup } from './types';

/**
 * Volume and area straight from a file's triangles, before corners are shared: the first figure that a
 * maker sees while holes and shells are still being looked for. In the file's own unit, cubed and squared.
 * @example
 * quickMeasure(readMeshFile(stlOf(cubeMesh), 'cube.stl').parts[0]); // { volume: 64000, area: 9600 }
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

/**
 * The same straight from the bytes of a binary STL, before anything is made of it: a first figure within
 * the time that reading the bytes takes.
 * @returns nothing when the file is of another kind, is cut off, or holds corners that are no numbers
 * @example
 * quickMeasureBytes(stlOf(cubeMesh)); // { volume: 64000, area: 9600 }
 */
export function quickMeasureBytes(bytes: Uint8Array): { volume: number; area: number } | undefined {
	if (!isBinaryStl(bytes)) return undefined;
	const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
	const count = view.getUint32(80, true);
	if (count === 0 || 84 + 50 * count > bytes.length) return undefined;
	const [ox, oy, oz] = [96, 100, 104].map((at) => view.getFloat32(at, true)) as [number, number, number];
	let six = 0;
	let twice = 0;
	for (let t = 0, at = 96; t < count; t++, at += 50) {
		const ax = view.getFloat32(at, true);
		const ay = view.getFloat32(at + 4, true);
		const az = view.getFloat32(at + 8, true);
		const ux = view.getFloat32(at + 12, true) - ax;
		const uy = view.getFloat32(at + 16, true) - ay;
		const uz = view.getFloat32(at + 20, true) - az;
		const wx = view.getFloat32(at + 24, true) - ax;
		const wy = view.getFloat32(at + 28, true) - ay;
		const wz = view.getFloat32(at + 32, true) - az;
		const nx = uy * wz - uz * wy;
		const ny = uz * wx - ux * wz;
		const nz = ux * wy - uy * wx;
		six += (ax - ox) * nx + (ay - oy) * ny + (az - oz) * nz;
		twice += Math.sqrt(nx * nx + ny * ny + nz * nz);
	}
	return Number.isFinite(six + twice) ? { volume: Math.abs(six) / 6, area: twice / 2 } : undefined;
}
