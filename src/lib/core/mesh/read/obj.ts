import {
	MESH_LIMITS,
	MeshError,
	SoupBuilder,
	tooManyTriangles,
	type MeshPart,
	type Progress
} from '../types';
import { Lines } from './lines';

/** A growing list of coordinates. */
class Corners {
	data = new Float32Array(3 * 4096);
	count = 0;
	add(x: number, y: number, z: number): void {
		if (3 * this.count + 3 > this.data.length) {
			if (this.count > 3 * MESH_LIMITS.triangles) throw tooManyTriangles(this.count);
			const larger = new Float32Array(this.data.length * 2);
			larger.set(this.data);
			this.data = larger;
		}
		this.data.set([x, y, z], 3 * this.count++);
	}
}

/**
 * Reads an OBJ: corners and faces (fans of more than three corners), each object or group a part.
 * @throws MeshError for a face that names a corner that is not there
 */
export function readObj(bytes: Uint8Array, progress?: Progress): MeshPart[] {
	const corners = new Corners();
	const parts: { name: string; soup: SoupBuilder }[] = [];
	let current: { name: string; soup: SoupBuilder } | undefined;
	let total = 0;
	const lines = new Lines(bytes, progress);
	const corner = (word: string) => {
		const said = Number(word.split('/', 1)[0]);
		const index = said < 0 ? corners.count + said : said - 1;
		if (!Number.isInteger(said) || index < 0 || index >= corners.count) {
			throw new MeshError(
				`Line ${lines.number}: a face names corner ${word.slice(0, 20)}, which is not there.`
			);
		}
		return 3 * index;
	};
	for (let line = lines.next(); line !== undefined; line = lines.next()) {
		const words = line.trim().split(/\s+/);
		if (words[0] === 'v') {
			corners.add(Number(words[1]), Number(words[2]), Number(words[3]));
		} else if (words[0] === 'o' || words[0] === 'g') {
			current = {
				name: words.slice(1).join(' ').slice(0, 120) || `part ${parts.length + 1}`,
				soup: new SoupBuilder()
			};
			parts.push(current);
		} else if (words[0] === 'f') {
			if (words.length < 4) throw new MeshError(`Line ${lines.number}: a face has fewer than three corners.`);
			if (!current) parts.push((current = { name: 'part 1', soup: new SoupBuilder() }));
			const d = corners.data;
			const a = corner(words[1]!);
			for (let k = 2; k + 1 < words.length; k++) {
				const b = corner(words[k]!);
				const c = corner(words[k + 1]!);
				current.soup.add(
					d[a]!,
					d[a + 1]!,
					d[a + 2]!,
					d[b]!,
					d[b + 1]!,
					d[b + 2]!,
					d[c]!,
					d[c + 1]!,
					d[c + 2]!
				);
				if (++total > MESH_LIMITS.triangles) throw tooManyTriangles(total);
			}
		}
	}
	const filled = parts.filter((p) => p.soup.triangles > 0);
	if (filled.length === 0) throw new MeshError('This OBJ holds no face.');
	return filled.map(({ name, soup }) => ({ name, ...soup.build() }));
}
