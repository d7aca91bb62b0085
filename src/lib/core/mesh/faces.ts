import { dot, unit } from './frame';
import { faceNormal } from './ceilings';
import type { Mesh, Vec3 } from './types';

/** Faces that lean no further from the one that was picked belong to the same opening, degrees. */
const FLAT_DEG = 12;

/**
 * The flat face that a triangle belongs to: its neighbours, and theirs, as long as they hardly turn.
 * @throws RangeError when a number is outside its range.
 * @example
 * flatFace(cubeMesh, 0).areaMm2; // 1600
 */
export function flatFace(
	mesh: Mesh,
	triangle: number
): { triangles: Uint32Array; areaMm2: number; normal: Vec3 } {
	const { indices } = mesh;
	const faces = indices.length / 3;
	if (!(triangle >= 0 && triangle < faces)) throw new RangeError(`flatFace: no triangle ${triangle}`);
	const normal = new Float64Array(3);
	faceNormal(mesh, 3 * triangle, normal);
	const seed: Vec3 = [normal[0]!, normal[1]!, normal[2]!];
	const least = Math.cos((FLAT_DEG * Math.PI) / 180);
	const flat = new Uint8Array(faces);
	const area = new Float64Array(faces);
	const byCorner = new Map<number, number[]>();
	for (let f = 0; f < faces; f++) {
		area[f] = faceNormal(mesh, 3 * f, normal) / 2;
		if (area[f]! > 0 && dot(seed, [normal[0]!, normal[1]!, normal[2]!]) < least) continue;
		flat[f] = 1;
		for (let k = 0; k < 3; k++) {
			const list = byCorner.get(indices[3 * f + k]!);
			if (list) list.push(f);
			else byCorner.set(indices[3 * f + k]!, [f]);
		}
	}
	const out: number[] = [];
	const queue = [triangle];
	flat[triangle] = 2;
	let areaMm2 = 0;
	while (queue.length > 0) {
		const f = queue.pop()!;
		out.push(f);
		areaMm2 += area[f]!;
		for (let k = 0; k < 3; k++)
			for (const o of byCorner.get(indices[3 * f + k]!) ?? [])
				if (flat[o] === 1) {
					flat[o] = 2;
					queue.push(o);
				}
	}
	return { triangles: Uint32Array.from(out), areaMm2, normal: unit(seed) };
}
