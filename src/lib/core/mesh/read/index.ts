import { MESH_LIMITS, MeshError, type FileUnit, type MeshPart, type Progress } from '../types';
import { readObj } from './obj';
import { readPly } from './ply';
import { isBinaryStl, readBinaryStl, readTextStl } from './stl';
import { readThreeMf } from './threeMf';

export type MeshFormat = 'stl' | 'obj' | 'ply' | '3mf';

export interface MeshFile {
	format: MeshFormat;
	parts: MeshPart[];
	/** Only a 3MF says its unit; of all others it is asked. */
	unit?: FileUnit;
}

/**
 * What a file is, by its first bytes and, for OBJ, which has none, by its name and words.
 * @example
 * formatOf(new TextEncoder().encode('v 0 0 0\nf 1 2 3'), 'wedge.obj'); // 'obj'
 */
export function formatOf(bytes: Uint8Array, name: string): MeshFormat | undefined {
	const head = new TextDecoder('latin1').decode(bytes.subarray(0, 4096));
	if (head.startsWith('PK')) return '3mf';
	if (/^ply\r?\n/.test(head)) return 'ply';
	if (/^\s*solid\b/.test(head)) return 'stl';
	if (/\.obj$/i.test(name) || /^(#[^\n]*\n|\s*\n)*(v|o|g|mtllib|vn|vt)\s/.test(head)) return 'obj';
	if (/\.stl$/i.test(name) || isBinaryStl(bytes)) return 'stl';
	return undefined;
}

/**
 * Reads a 3D file: STL (bytes or text), OBJ, PLY or 3MF. Pure: bytes in, parts out.
 * @param name the file's name; only its ending counts, and only where the bytes do not tell
 * @param progress told how far it is; may throw to stop
 * @throws MeshError with a sentence for the maker
 * @example
 * readMeshFile(stlOf(cubeMesh), 'cube.stl').parts[0]?.triangles; // 12
 */
export function readMeshFile(bytes: Uint8Array, name: string, progress?: Progress): MeshFile {
	if (bytes.length === 0) throw new MeshError('This file is empty.');
	if (bytes.length > MESH_LIMITS.bytes)
		throw new MeshError(
			`This file has ${(bytes.length / 1024 ** 2).toFixed(0)} MB: at most ${MESH_LIMITS.bytes / 1024 ** 2} MB are taken.`
		);
	const format = formatOf(bytes, name);
	const one = (soup: Omit<MeshPart, 'name'>) => [
		{ name: name.replace(/\.[^.]*$/, '').slice(0, 120) || 'part 1', ...soup }
	];
	switch (format) {
		case 'stl':
			return {
				format,
				parts: one(isBinaryStl(bytes) ? readBinaryStl(bytes, progress) : readTextStl(bytes, progress))
			};
		case 'ply':
			return { format, parts: one(readPly(bytes, progress)) };
		case 'obj':
			return { format, parts: readObj(bytes, progress) };
		case '3mf':
			return { format, ...readThreeMf(bytes, progress) };
		case undefined:
			throw new MeshError('This is no STL, OBJ, PLY or 3MF: export the piece as one of these.');
	}
}
