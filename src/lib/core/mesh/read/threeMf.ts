import { Unzip, UnzipInflate } from 'fflate';
import { SaxesParser } from 'saxes';
import {
	MESH_LIMITS,
	MeshError,
	SoupBuilder,
	tooManyTriangles,
	type FileUnit,
	type MeshPart,
	type Progress
} from '../types';

/** Units of the 3MF core specification, by their names there. */
const UNITS: Readonly<Record<string, FileUnit>> = {
	micron: 'µm',
	millimeter: 'mm',
	centimeter: 'cm',
	inch: 'in',
	foot: 'ft',
	meter: 'm'
};

/** Row-vector transform of the 3MF core specification: twelve numbers, the last three a shift. */
type Transform = readonly number[];
const IDENTITY: Transform = [1, 0, 0, 0, 1, 0, 0, 0, 1, 0, 0, 0];
/** From this size on, a file that folds more than so many times is taken for a bomb. */
const SUSPECT_BYTES = 16 * 1024 * 1024;
const SUSPECT_FOLD = 100;
/** How deep components may hold components. */
const DEEPEST = 16;
/** So many parts are placed at most: empty ones that hold each other cost time without a triangle. */
const MOST_PLACES = 2_000_000;

/** So many bodies stand on the plate at most: each becomes a part that a maker can choose. */
const MOST_ITEMS = 2000;

interface ModelObject {
	name: string;
	vertices: number[];
	triangles: number[];
	components: { id: string; transform: Transform }[];
}
interface Model {
	unit: FileUnit;
	objects: Map<string, ModelObject>;
	build: { id: string; transform: Transform }[];
}

/**
 * Reads a 3MF (a zip with a model in XML) piece by piece: what it unfolds to is counted as it comes, so a
 * bomb is refused before it fills the memory. Components and their transforms are followed.
 * @throws MeshError when it is no 3MF, cut off, too large or names what is not there
 */
export function readThreeMf(bytes: Uint8Array, progress?: Progress): { parts: MeshPart[]; unit: FileUnit } {
	const model = readModel(bytes, progress);
	const parts: MeshPart[] = [];
	const budget = { triangles: 0, places: 0 };
	const items =
		model.build.length > 0
			? model.build
			: [...model.objects.keys()].map((id) => ({ id, transform: IDENTITY }));
	for (const item of items) {
		const soup = new SoupBuilder();
		place(model, item.id, item.transform, soup, budget, 0);
		const name = model.objects.get(item.id)?.name || `part ${parts.length + 1}`;
		if (soup.triangles > 0) parts.push({ name, ...soup.build() });
	}
	if (parts.length === 0) throw new MeshError('This 3MF holds no triangle.');
	return { parts, unit: model.unit };
}

function readModel(bytes: Uint8Array, progress?: Progress): Model {
	const model: Model = { unit: 'mm', objects: new Map(), build: [] };
	let seen = false;
	let done = false;
	let problem: unknown;
	let unzipped = 0;
	const unzip = new Unzip((file) => {
		if (seen || !/(^|\/)3dmodel\.model$/i.test(file.name)) return;
		seen = true;
		const parser = modelParser(model);
		const decoder = new TextDecoder();
		file.ondata = (error, chunk, final) => {
			if (problem) return;
			try {
				if (error) throw new MeshError('The zip inside this 3MF is damaged: export it again.');
				unzipped += chunk.length;
				// numbers in XML fold five to twenty times; what folds a hundred times is no drawing
				if (
					unzipped > MESH_LIMITS.unzippedBytes ||
					(unzipped > SUSPECT_BYTES && unzipped > SUSPECT_FOLD * bytes.length)
				)
					throw new MeshError(
						`This 3MF unfolds to ${Math.round(unzipped / 1024 ** 2)} MB and more: it is refused, so that it cannot fill the memory.`
					);
				parser.write(decoder.decode(chunk, { stream: !final }));
				if (final) {
					parser.close();
					done = true;
				}
			} catch (failure) {
				problem = failure;
			}
		};
		file.start();
	});
	unzip.register(UnzipInflate);
	const step = 1 << 16;
	try {
		for (let at = 0; at < bytes.length && !problem; at += step) {
			unzip.push(bytes.subarray(at, at + step), at + step >= bytes.length);
			progress?.(at / bytes.length);
		}
	} catch (failure) {
		problem ??= failure;
	}
	if (problem) {
		if (problem instanceof MeshError) throw problem;
		if (problem instanceof Error && problem.name === 'StopError') throw problem;
		throw new MeshError('This 3MF is damaged: its zip or its XML does not hold together. Export it again.');
	}
	if (!seen) throw new MeshError('This zip holds no 3D model, so it is no 3MF.');
	if (!done) throw new MeshError('This 3MF ends too soon: it was cut off.');
	return model;
}

function modelParser(model: Model): SaxesParser {
	const parser = new SaxesParser();
	let object: ModelObject | undefined;
	let triangles = 0;
	const number = (value: string | undefined) => {
		const n = Number(value);
		if (value === undefined || !Number.isFinite(n))
			throw new MeshError('A corner of this 3MF is not a number: export it again.');
		return n;
	};
	parser.on('error', (error) => {
		throw error;
	});
	parser.on('opentag', (tag) => {
		const a = tag.attributes as Record<string, string>;
		switch (tag.name.replace(/^.*:/, '')) {
			case 'model':
				model.unit = UNITS[a['unit'] ?? 'millimeter'] ?? 'mm';
				break;
			case 'object':
				object = { name: (a['name'] ?? '').slice(0, 120), vertices: [], triangles: [], components: [] };
				model.objects.set(a['id'] ?? '', object);
				break;
			case 'vertex':
				object?.vertices.push(number(a['x']), number(a['y']), number(a['z']));
				if (object && object.vertices.length > 9 * MESH_LIMITS.triangles) throw tooManyTriangles(triangles);
				break;
			case 'triangle':
				if (++triangles > MESH_LIMITS.triangles) throw tooManyTriangles(triangles);
				object?.triangles.push(number(a['v1']), number(a['v2']), number(a['v3']));
				break;
			case 'component':
				object?.components.push({ id: a['objectid'] ?? '', transform: transformOf(a['transform']) });
				break;
			case 'item':
				if (model.build.length === MOST_ITEMS)
					throw new MeshError(
						`This 3MF places over ${MOST_ITEMS} bodies on its plate: export the piece alone.`
					);
				model.build.push({ id: a['objectid'] ?? '', transform: transformOf(a['transform']) });
		}
	});
	return parser;
}

function transformOf(text: string | undefined): Transform {
	if (text === undefined) return IDENTITY;
	const numbers = text.trim().split(/\s+/).map(Number);
	if (numbers.length !== 12 || numbers.some((n) => !Number.isFinite(n)))
		throw new MeshError('A part of this 3MF is placed by numbers that do not make sense: export it again.');
	return numbers;
}

/** First `a`, then `b`. */
function then(a: Transform, b: Transform): Transform {
	const out: number[] = [];
	for (let row = 0; row < 4; row++)
		for (let col = 0; col < 3; col++) {
			let sum = row === 3 ? b[9 + col]! : 0;
			for (let k = 0; k < 3; k++) sum += a[3 * row + k]! * b[3 * k + col]!;
			out.push(sum);
		}
	return out;
}

function place(
	model: Model,
	id: string,
	m: Transform,
	soup: SoupBuilder,
	budget: { triangles: number; places: number },
	depth: number
): void {
	const object = model.objects.get(id);
	if (!object) throw new MeshError(`This 3MF names a part (${id.slice(0, 20)}) that is not in it.`);
	if (depth > DEEPEST || ++budget.places > MOST_PLACES)
		throw new MeshError('The parts of this 3MF hold each other without end.');
	const v = object.vertices;
	const at = (corner: number): [number, number, number] => {
		const i = 3 * corner;
		if (!Number.isInteger(corner) || corner < 0 || i + 2 >= v.length)
			throw new MeshError('A triangle of this 3MF names a corner that is not there.');
		const [x, y, z] = [v[i]!, v[i + 1]!, v[i + 2]!];
		return [
			x * m[0]! + y * m[3]! + z * m[6]! + m[9]!,
			x * m[1]! + y * m[4]! + z * m[7]! + m[10]!,
			x * m[2]! + y * m[5]! + z * m[8]! + m[11]!
		];
	};
	for (let t = 0; t < object.triangles.length; t += 3) {
		if (++budget.triangles > MESH_LIMITS.triangles) throw tooManyTriangles(budget.triangles);
		soup.add(...at(object.triangles[t]!), ...at(object.triangles[t + 1]!), ...at(object.triangles[t + 2]!));
	}
	for (const c of object.components) place(model, c.id, then(c.transform, m), soup, budget, depth + 1);
}
