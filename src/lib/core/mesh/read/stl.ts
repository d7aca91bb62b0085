import {
	MESH_LIMITS,
	MeshError,
	SoupBuilder,
	tooManyTriangles,
	type Progress,
	type TriangleSoup
} from '../types';
import { Lines } from './lines';

const HEADER = 84;
const RECORD = 50;

/** Whether the length fits the count in a binary header; text that begins with "solid" does not. */
export function isBinaryStl(bytes: Uint8Array): boolean {
	if (bytes.length < HEADER) return false;
	const count = new DataView(bytes.buffer, bytes.byteOffset).getUint32(80, true);
	if (HEADER + RECORD * count === bytes.length) return true;
	// a lying count or trailing bytes: text is recognised by its words instead
	return !/^\s*solid\b[\s\S]*\bfacet\b/.test(new TextDecoder('latin1').decode(bytes.subarray(0, 2048)));
}

/**
 * Reads a binary STL. Sizes are checked before anything is allocated.
 * @throws MeshError when it is cut off, too large, or holds corners that are no numbers
 */
export function readBinaryStl(bytes: Uint8Array, progress?: Progress): TriangleSoup {
	if (bytes.length < HEADER) throw new MeshError('This file is too short for an STL: it was cut off.');
	const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
	const said = view.getUint32(80, true);
	const there = Math.floor((bytes.length - HEADER) / RECORD);
	if (said > there) {
		throw new MeshError(
			`The file says that it holds ${said.toLocaleString('en-GB')} triangles and has room for ${there.toLocaleString('en-GB')}: it was cut off, or it is no STL.`
		);
	}
	if (said > MESH_LIMITS.triangles) throw tooManyTriangles(said);
	if (said === 0) throw new MeshError('This STL holds no triangle.');
	const positions = new Float32Array(9 * said);
	const sum = copyCorners(bytes, positions, said, progress);
	// one look at the end: a sum is finite only when everything in it is
	if (!Number.isFinite(sum)) {
		const bad = positions.findIndex((x) => !Number.isFinite(x));
		if (bad >= 0)
			throw new MeshError(
				`Triangle ${Math.floor(bad / 9) + 1} has a corner that is not a number: export the file again.`
			);
	}
	return { positions, triangles: said };
}

/**
 * Moves the corners of each record into place. A view reads at any byte, which is as fast as an aligned
 * array and needs no second copy of the file.
 * @returns the sum of everything, finite only when every coordinate is
 */
function copyCorners(bytes: Uint8Array, positions: Float32Array, count: number, progress?: Progress): number {
	const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
	let sum = 0;
	for (let t = 0, at = HEADER + 12, out = 0; t < count; t++, at += RECORD, out += 9) {
		sum += positions[out] = view.getFloat32(at, true);
		sum += positions[out + 1] = view.getFloat32(at + 4, true);
		sum += positions[out + 2] = view.getFloat32(at + 8, true);
		sum += positions[out + 3] = view.getFloat32(at + 12, true);
		sum += positions[out + 4] = view.getFloat32(at + 16, true);
		sum += positions[out + 5] = view.getFloat32(at + 20, true);
		sum += positions[out + 6] = view.getFloat32(at + 24, true);
		sum += positions[out + 7] = view.getFloat32(at + 28, true);
		sum += positions[out + 8] = view.getFloat32(at + 32, true);
		if (t % 65_536 === 0) progress?.(t / count);
	}
	return sum;
}

/**
 * Reads an STL written as text.
 * @throws MeshError when a facet does not have three corners
 */
export function readTextStl(bytes: Uint8Array, progress?: Progress): TriangleSoup {
	const soup = new SoupBuilder(bytes.length / 250);
	const corners: number[] = [];
	const lines = new Lines(bytes, progress);
	for (let line = lines.next(); line !== undefined; line = lines.next()) {
		const words = line.trim().split(/\s+/);
		const word = words[0]!.toLowerCase();
		if (word === 'vertex') {
			corners.push(Number(words[1]), Number(words[2]), Number(words[3]));
		} else if (word === 'endfacet') {
			if (corners.length !== 9) {
				throw new MeshError(
					`Line ${lines.number}: a facet has ${corners.length / 3} corners instead of three.`
				);
			}
			soup.add(
				...(corners.splice(0) as [number, number, number, number, number, number, number, number, number])
			);
		}
	}
	if (corners.length > 0) throw new MeshError('The file ends inside a facet: it was cut off.');
	if (soup.triangles === 0) {
		const begins = /^\s*solid\b/.test(new TextDecoder('latin1').decode(bytes.subarray(0, 200)));
		throw new MeshError(
			begins
				? 'This STL holds no triangle.'
				: 'This is no STL, whatever its name says: export the piece again.'
		);
	}
	return soup.build();
}
