import { beforeAll, describe, expect, it } from 'vitest';
import { loadMesh, MeshError, type Mesh } from '.';
import { asBinaryPly, asObj, asPly, asText, model, text, volume, zip } from './files.testing';
import { geometry, meshOf, stlOf } from './shapes.testing';

let cube: Mesh;
let bytes: Uint8Array;
beforeAll(async () => {
	const lib = await geometry();
	cube = meshOf(lib.Manifold.cube([20, 30, 40]));
	bytes = stlOf(cube);
});

describe('every format gives the same cube of 24 ml', () => {
	it('STL as bytes and as text, OBJ, PLY as text and as bytes of either order, 3MF', () => {
		const files: [Uint8Array, string][] = [
			[bytes, 'a.stl'],
			[bytes, 'no-ending'],
			[text(asText(cube)), 'b.stl'],
			[text(asObj(cube)), 'c.obj'],
			[text(asPly(cube)), 'd.ply'],
			[asBinaryPly(cube, true), 'e.ply'],
			[asBinaryPly(cube, false), 'f.ply'],
			[zip(model(cube)), 'g.3mf']
		];
		for (const [file, name] of files) {
			const { report } = loadMesh(file, name);
			expect(report.volumeMl, name).toBeCloseTo(24, 6);
			expect(report, name).toMatchObject({
				triangles: 12,
				watertight: true,
				openEdges: 0,
				shells: 1,
				warnings: []
			});
		}
	});

	it('units: inches of an STL are asked for, those of a 3MF are in the file', () => {
		expect(volume(bytes, 'a.stl', { unit: 'in' })).toBeCloseTo(24 * 25.4 ** 3, 1);
		expect(volume(bytes, 'a.stl', { unit: 'cm', scale: 0.5 })).toBeCloseTo(24 * 125, 3);
		expect(volume(zip(model(cube, { unit: 'inch' })), 'a.3mf')).toBeCloseTo(24 * 25.4 ** 3, 1);
	});

	it('several parts of a file, chosen one by one', () => {
		const obj = `${asObj(cube).replace('v ', 'o first\nv ')}o second\n${asObj(cube)
			.replace(/^v ([\d.]+) /gm, (_, x) => `v ${Number(x) + 100} `)
			.replace(/(\d+)\/\/1/g, (_, i) => `${Number(i) + 8}//1`)}`;
		const { report } = loadMesh(text(obj), 'two.obj');
		expect(report).toMatchObject({ parts: ['first', 'second'], shells: 2 });
		expect(report.volumeMl).toBeCloseTo(48, 6);
		expect(volume(text(obj), 'two.obj', { parts: [1] })).toBeCloseTo(24, 6);
		expect(() => loadMesh(text(obj), 'two.obj', { parts: [] })).toThrow(MeshError);
	});

	it('components of a 3MF are placed by their transforms, one after the other', () => {
		const extra =
			'<object id="2"><components><component objectid="1" transform="2 0 0 0 2 0 0 0 2 100 0 0"/></components></object>';
		const item = '<item objectid="2" transform="1 0 0 0 1 0 0 0 1 0 0 7"/>';
		const { report } = loadMesh(zip(model(cube, { extra, item })), 'a.3mf');
		expect(report.volumeMl).toBeCloseTo(192, 5);
		expect(report.bounds.min).toEqual([100, 0, 7]);
	});
});
