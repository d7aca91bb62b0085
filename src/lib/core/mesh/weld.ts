import type { Mesh, Progress, TriangleSoup } from './types';

const floatBits = new Float32Array(3);
const asInts = new Int32Array(floatBits.buffer);

/** Spreads three 32-bit words over the table (Murmur3's finaliser). */
function hash(x: number, y: number, z: number): number {
	let h = Math.imul(x, 0x9e3779b1) ^ Math.imul(y, 0x85ebca6b) ^ Math.imul(z, 0xc2b2ae35);
	h ^= h >>> 16;
	h = Math.imul(h, 0x7feb352d);
	h ^= h >>> 15;
	return h >>> 0;
}

/**
 * Makes triangles share the corners that lie on the very same spot, and scales them to mm. Triangles that
 * collapse to a line are left out, since they have no area and would count as open edges.
 * @param unitMm length of the file's unit, mm, > 0
 * @example
 * weld(readMeshFile(stlOf(cubeMesh), 'cube.stl').parts[0], 1).mesh.vertices.length; // 24
 */
export function weld(
	soup: TriangleSoup,
	unitMm: number,
	progress?: Progress
): { mesh: Mesh; collapsed: number } {
	const corners = 3 * soup.triangles;
	let size = 1024;
	while (size < corners * 1.5) size *= 2;
	const table = new Int32Array(size).fill(-1);
	const p = soup.positions;
	const kept = new Float32Array(p.length);
	const indices = new Uint32Array(corners);
	let count = 0;
	for (let i = 0; i < corners; i++) {
		// + 0 turns −0 into 0: the two are one spot with different bits
		floatBits[0] = p[3 * i]! + 0;
		floatBits[1] = p[3 * i + 1]! + 0;
		floatBits[2] = p[3 * i + 2]! + 0;
		const [x, y, z] = [floatBits[0], floatBits[1], floatBits[2]];
		let slot = hash(asInts[0]!, asInts[1]!, asInts[2]!) & (size - 1);
		for (;;) {
			const at = table[slot]!;
			if (at === -1) {
				table[slot] = count;
				kept[3 * count] = x;
				kept[3 * count + 1] = y;
				kept[3 * count + 2] = z;
				indices[i] = count++;
				break;
			}
			if (kept[3 * at] === x && kept[3 * at + 1] === y && kept[3 * at + 2] === z) {
				indices[i] = at;
				break;
			}
			slot = (slot + 1) & (size - 1);
		}
		if (i % 262_144 === 0) progress?.(i / corners);
	}
	let out = 0;
	for (let t = 0; t < indices.length; t += 3) {
		const [a, b, c] = [indices[t]!, indices[t + 1]!, indices[t + 2]!];
		if (a === b || b === c || c === a) continue;
		indices[out] = a;
		indices[out + 1] = b;
		indices[out + 2] = c;
		out += 3;
	}
	const vertices = new Float64Array(3 * count);
	for (let i = 0; i < vertices.length; i++) vertices[i] = kept[i]! * unitMm;
	return {
		mesh: { vertices, indices: out === indices.length ? indices : indices.slice(0, out) },
		collapsed: (indices.length - out) / 3
	};
}
