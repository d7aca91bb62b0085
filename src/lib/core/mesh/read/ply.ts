import {
	MESH_LIMITS,
	MeshError,
	SoupBuilder,
	tooManyTriangles,
	type Progress,
	type TriangleSoup
} from '../types';
import { Lines } from './lines';

const SIZES: Readonly<Record<string, number>> = {
	char: 1, int8: 1, uchar: 1, uint8: 1, short: 2, int16: 2, ushort: 2, uint16: 2,
	int: 4, int32: 4, uint: 4, uint32: 4, float: 4, float32: 4, double: 8, float64: 8
}; // prettier-ignore

interface Property {
	name: string;
	type: string;
	/** Type of the count, for a list. */
	countType?: string;
}
interface Element {
	name: string;
	count: number;
	properties: Property[];
}
interface Header {
	format: string;
	elements: Element[];
	bodyAt: number;
}

/** Reads numbers one after the other, from text or from bytes of either order. */
interface Source {
	read(type: string): number;
	/** Text: the next element begins a new line. */
	row(): void;
}

function readHeader(bytes: Uint8Array): Header {
	const lines = new Lines(bytes.subarray(0, 100_000));
	const elements: Element[] = [];
	let format = '';
	for (let line = lines.next(); line !== undefined; line = lines.next()) {
		const words = line.trim().split(/\s+/);
		if (words[0] === 'format') format = words[1] ?? '';
		else if (words[0] === 'element')
			elements.push({ name: words[1] ?? '', count: Number(words[2]), properties: [] });
		else if (words[0] === 'property') {
			const list = words[1] === 'list';
			elements
				.at(-1)
				?.properties.push(
					list
						? { name: words[4] ?? '', type: words[3] ?? '', countType: words[2] ?? '' }
						: { name: words[2] ?? '', type: words[1] ?? '' }
				);
		} else if (words[0] === 'end_header') {
			checkHeader(format, elements);
			return { format, elements, bodyAt: lines.at };
		}
	}
	throw new MeshError('This PLY has no end of its header: it was cut off, or it is no PLY.');
}

function checkHeader(format: string, elements: readonly Element[]): void {
	if (!['ascii', 'binary_little_endian', 'binary_big_endian'].includes(format))
		throw new MeshError(`A PLY of the kind "${format.slice(0, 30)}" is not known.`);
	for (const e of elements) {
		if (!Number.isInteger(e.count) || e.count < 0)
			throw new MeshError(`This PLY does not say how many of "${e.name.slice(0, 30)}" it has.`);
		if (e.count > 3 * MESH_LIMITS.triangles) throw tooManyTriangles(e.count);
		for (const p of e.properties) {
			if (SIZES[p.type] === undefined || (p.countType !== undefined && SIZES[p.countType] === undefined))
				throw new MeshError(
					`This PLY uses a number of the kind "${p.type.slice(0, 30)}", which is not known.`
				);
		}
	}
}

function textSource(bytes: Uint8Array, from: number, progress?: Progress): Source {
	const lines = new Lines(bytes, progress, from);
	let words: string[] = [];
	let at = 0;
	return {
		row() {
			do {
				const line = lines.next();
				if (line === undefined) throw new MeshError('This PLY ends too soon: it was cut off.');
				words = line.trim().split(/\s+/);
			} while (words[0] === '');
			at = 0;
		},
		read() {
			const word = words[at++];
			if (word === undefined) throw new MeshError('A line of this PLY is too short: it was cut off.');
			return Number(word);
		}
	};
}

function byteSource(bytes: Uint8Array, from: number, little: boolean): Source {
	const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
	let at = from;
	return {
		row() {},
		read(type) {
			const size = SIZES[type]!;
			if (at + size > bytes.length) throw new MeshError('This PLY ends too soon: it was cut off.');
			const p = at;
			at += size;
			switch (type) {
				case 'char': case 'int8': return view.getInt8(p);
				case 'uchar': case 'uint8': return view.getUint8(p);
				case 'short': case 'int16': return view.getInt16(p, little);
				case 'ushort': case 'uint16': return view.getUint16(p, little);
				case 'int': case 'int32': return view.getInt32(p, little);
				case 'uint': case 'uint32': return view.getUint32(p, little);
				case 'float': case 'float32': return view.getFloat32(p, little);
				default: return view.getFloat64(p, little);
			} // prettier-ignore
		}
	};
}

/**
 * Reads a PLY, as text or as bytes of either order: corners, and faces as fans.
 * @throws MeshError when it is cut off or a face names a corner that is not there
 */
export function readPly(bytes: Uint8Array, progress?: Progress): TriangleSoup {
	const { format, elements, bodyAt } = readHeader(bytes);
	const source =
		format === 'ascii'
			? textSource(bytes, bodyAt, progress)
			: byteSource(bytes, bodyAt, format === 'binary_little_endian');
	let corners = new Float32Array(0);
	const faces = elements.find((e) => e.name === 'face')?.count ?? 0;
	// a face needs a count and three corners: a number beyond that is a lie, and would be allocated for
	if (faces > bytes.length / 4)
		throw new MeshError('This PLY names more faces than it has bytes: it was cut off.');
	const soup = new SoupBuilder(faces);
	for (const element of elements) {
		if (element.name === 'vertex') corners = readCorners(source, element, bytes.length);
		else if (element.name === 'face') readFaces(source, element, corners, soup, progress);
		else skip(source, element);
	}
	if (soup.triangles === 0) throw new MeshError('This PLY holds no face: it may be a cloud of points.');
	return soup.build();
}

function readCorners(source: Source, element: Element, fileBytes: number): Float32Array<ArrayBuffer> {
	// a corner needs at least three characters or bytes: a count beyond that is a lie
	if (element.count > fileBytes)
		throw new MeshError('This PLY names more corners than it has bytes: it was cut off.');
	const corners = new Float32Array(3 * element.count);
	const axis = element.properties.map((p) => 'xyz'.indexOf(p.name));
	for (let i = 0; i < element.count; i++) {
		source.row();
		element.properties.forEach((p, k) => {
			if (p.countType !== undefined) return skipList(source, p);
			const value = source.read(p.type);
			const a = axis[k]!;
			if (p.name.length === 1 && a >= 0) corners[3 * i + a] = value;
		});
	}
	return corners;
}

function readFaces(
	source: Source,
	element: Element,
	corners: Float32Array,
	soup: SoupBuilder,
	progress?: Progress
): void {
	const most = corners.length / 3;
	const face: number[] = [];
	for (let i = 0; i < element.count; i++) {
		source.row();
		for (const p of element.properties) {
			if (p.countType === undefined) {
				source.read(p.type);
				continue;
			}
			if (!p.name.startsWith('vert')) {
				skipList(source, p);
				continue;
			}
			const n = source.read(p.countType);
			if (!(n >= 3 && n <= 10_000)) throw new MeshError(`Face ${i + 1} of this PLY has ${n} corners.`);
			face.length = 0;
			for (let k = 0; k < n; k++) {
				const v = source.read(p.type);
				if (!(Number.isInteger(v) && v >= 0 && v < most))
					throw new MeshError(`Face ${i + 1} of this PLY names a corner that is not there.`);
				face.push(3 * v);
			}
			const a = face[0]!;
			for (let k = 1; k + 1 < n; k++) {
				const b = face[k]!;
				const c = face[k + 1]!;
				soup.add(
					corners[a]!, corners[a + 1]!, corners[a + 2]!,
					corners[b]!, corners[b + 1]!, corners[b + 2]!,
					corners[c]!, corners[c + 1]!, corners[c + 2]!
				); // prettier-ignore
			}
		}
		if (i % 65_536 === 0) progress?.(i / element.count);
	}
}

function skip(source: Source, element: Element): void {
	for (let i = 0; i < element.count; i++) {
		source.row();
		for (const p of element.properties) {
			if (p.countType === undefined) source.read(p.type);
			else skipList(source, p);
		}
	}
}

function skipList(source: Source, p: Property): void {
	const n = source.read(p.countType!);
	for (let k = 0; k < n; k++) source.read(p.type);
}
