import fc from 'fast-check';
import { zipSync, strToU8 } from 'fflate';
import { beforeAll, describe, expect, it } from 'vitest';
import { loadMesh, MeshError, readMeshFile, type Mesh } from '.';
import { geometry, meshOf, stlOf } from './shapes.testing';

let cube: Mesh;
let bytes: Uint8Array;
beforeAll(async () => {
	const lib = await geometry();
	cube = meshOf(lib.Manifold.cube([20, 30, 40]));
	bytes = stlOf(cube);
});
const text = (s: string) => new TextEncoder().encode(s);
const corners = (mesh: Mesh) =>
	Array.from({ length: mesh.vertices.length / 3 }, (_, i) => [...mesh.vertices.slice(3 * i, 3 * i + 3)]);
const faces = (mesh: Mesh) =>
	Array.from({ length: mesh.indices.length / 3 }, (_, i) => [...mesh.indices.slice(3 * i, 3 * i + 3)]);

const asText = (mesh: Mesh) =>
	`solid cube\n${faces(mesh)
		.map(
			(f) =>
				`facet normal 0 0 0\nouter loop\n${f.map((i) => `vertex ${corners(mesh)[i]!.join(' ')}`).join('\n')}\nendloop\nendfacet`
		)
		.join('\n')}\nendsolid cube\n`;
const asObj = (mesh: Mesh) =>
	`# made by hand\n${corners(mesh)
		.map((v) => `v ${v.join(' ')}`)
		.join('\n')}\n${faces(mesh)
		.map((f) => `f ${f.map((i) => `${i + 1}//1`).join(' ')}`)
		.join('\n')}\n`;
const asPly = (mesh: Mesh) =>
	`ply\nformat ascii 1.0\ncomment by hand\nelement vertex ${corners(mesh).length}\nproperty float x\nproperty float y\nproperty float z\nelement face ${faces(mesh).length}\nproperty list uchar int vertex_indices\nend_header\n${corners(
		mesh
	)
		.map((v) => v.join(' '))
		.join('\n')}\n${faces(mesh)
		.map((f) => `3 ${f.join(' ')}`)
		.join('\n')}\n`;
const asBinaryPly = (mesh: Mesh, little: boolean) => {
	const head = text(
		`ply\nformat binary_${little ? 'little' : 'big'}_endian 1.0\nelement vertex ${corners(mesh).length}\nproperty double x\nproperty double y\nproperty double z\nproperty uchar red\nelement face ${faces(mesh).length}\nproperty list uchar uint vertex_index\nend_header\n`
	);
	const body = new DataView(new ArrayBuffer(25 * corners(mesh).length + 13 * faces(mesh).length));
	let at = 0;
	for (const v of corners(mesh)) {
		for (const x of v) {
			body.setFloat64(at, x, little);
			at += 8;
		}
		body.setUint8(at++, 200);
	}
	for (const f of faces(mesh)) {
		body.setUint8(at++, 3);
		for (const i of f) {
			body.setUint32(at, i, little);
			at += 4;
		}
	}
	return Uint8Array.from([...head, ...new Uint8Array(body.buffer)]);
};
const model = (mesh: Mesh, over: { unit?: string; item?: string; extra?: string } = {}) =>
	`<?xml version="1.0"?><model unit="${over.unit ?? 'millimeter'}" xmlns="x"><resources><object id="1" name="cube"><mesh><vertices>${corners(
		mesh
	)
		.map(([x, y, z]) => `<vertex x="${x}" y="${y}" z="${z}"/>`)
		.join('')}</vertices><triangles>${faces(mesh)
		.map(([a, b, c]) => `<triangle v1="${a}" v2="${b}" v3="${c}"/>`)
		.join(
			''
		)}</triangles></mesh></object>${over.extra ?? ''}</resources><build>${over.item ?? '<item objectid="1"/>'}</build></model>`;
const zip = (xml: string) =>
	zipSync({ '[Content_Types].xml': strToU8('<x/>'), '3D/3dmodel.model': strToU8(xml) });
const volume = (b: Uint8Array, name: string, options = {}) => loadMesh(b, name, options).report.volumeMl;

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

describe('files that are not what they say', () => {
	const problem = (b: Uint8Array, name = 'x.stl') => {
		try {
			loadMesh(b, name);
		} catch (error) {
			expect(error).toBeInstanceOf(MeshError);
			return (error as Error).message;
		}
		return 'taken';
	};
	it('truncated, lying, empty, not a number, nothing at all', () => {
		expect(problem(bytes.slice(0, 300))).toMatch(/cut off/);
		const lying = bytes.slice();
		new DataView(lying.buffer).setUint32(80, 4_000_000_000, true);
		expect(problem(lying)).toMatch(/says that it holds 4,000,000,000/);
		const none = bytes.slice(0, 84);
		new DataView(none.buffer).setUint32(80, 0, true);
		expect(problem(none)).toMatch(/no triangle/);
		const nan = bytes.slice();
		new DataView(nan.buffer).setFloat32(84 + 50 + 12, NaN, true);
		expect(problem(nan)).toMatch(/Triangle 2 has a corner that is not a number/);
		expect(problem(new Uint8Array())).toMatch(/empty/);
		expect(problem(text('hello there, this is a letter'), 'x.txt')).toMatch(/no STL, OBJ, PLY or 3MF/);
	});

	it('text that breaks off or names what is not there', () => {
		expect(problem(text(asText(cube).slice(0, -60)))).toMatch(/inside a facet|corners/);
		expect(problem(text('v 0 0 0\nv 1 0 0\nf 1 2 9\n'), 'x.obj')).toMatch(/corner 9, which is not there/);
		expect(problem(text('v 0 0 0\n'), 'x.obj')).toMatch(/no face/);
		expect(
			problem(text(asPly(cube).replace('element vertex 8', 'element vertex 99999999')), 'x.ply')
		).toMatch(/million|more corners/);
		expect(problem(text(asPly(cube).replace('element vertex 8', 'element vertex 30')), 'x.ply')).toMatch(
			/cut off|not there|corners/
		);
		expect(problem(text('ply\nformat ascii 1.0\n'), 'x.ply')).toMatch(/end of its header/);
		expect(problem(asBinaryPly(cube, true).slice(0, -40), 'x.ply')).toMatch(/cut off/);
	});

	it('a 3MF that is damaged, holds itself, or is a bomb', () => {
		const good = zip(model(cube));
		expect(problem(good.slice(0, good.length / 2), 'x.3mf')).toMatch(/damaged|cut off|no 3D model/);
		expect(problem(zipSync({ 'a.txt': strToU8('x') }), 'x.3mf')).toMatch(/no 3D model/);
		expect(problem(zip(model(cube).slice(0, -200)), 'x.3mf')).toMatch(/damaged/);
		const ring = '<object id="2"><components><component objectid="2"/></components></object>';
		expect(problem(zip(model(cube, { extra: ring, item: '<item objectid="2"/>' })), 'x.3mf')).toMatch(
			/without end/
		);
		const wide = (n: number) =>
			`<object id="${n}"><components>${`<component objectid="${n - 1}"/>`.repeat(200)}</components></object>`;
		expect(
			problem(
				zip(model(cube, { extra: [2, 3, 4, 5].map(wide).join(''), item: '<item objectid="5"/>' })),
				'x.3mf'
			)
		).toMatch(/million/);
		const bomb = zipSync({ '3D/3dmodel.model': new Uint8Array(64 * 1024 * 1024).fill(32) });
		expect(bomb.length).toBeLessThan(200_000);
		expect(problem(bomb, 'x.3mf')).toMatch(/unfolds to/);
	}, 60_000);

	it('inside out is turned and said; a hole is said with what it does to the volume', () => {
		const inward = { ...cube, indices: cube.indices.slice().reverse() };
		const { report, mesh } = loadMesh(stlOf(inward), 'x.stl');
		expect(report.volumeMl).toBeCloseTo(24, 6);
		expect(report.warnings.map((w) => w.code)).toEqual(['inside-out']);
		expect(loadMesh(stlOf(mesh), 'y.stl').report.warnings).toEqual([]);
		const open = loadMesh(stlOf({ ...cube, indices: cube.indices.slice(3) }), 'x.stl').report;
		expect(open).toMatchObject({ watertight: false, openEdges: 3 });
		expect(open.warnings.map((w) => w.code)).toContain('open-edges');
	});

	it('bodies that run into each other count what they share once', async () => {
		const lib = await geometry();
		const one = lib.Manifold.cube([20, 20, 20]);
		const other = one.translate([10, 0, 0]);
		const both = meshOf(one);
		const second = meshOf(other);
		const mesh: Mesh = {
			vertices: Float64Array.from([...both.vertices, ...second.vertices]),
			indices: Uint32Array.from([...both.indices, ...second.indices.map((i) => i + both.vertices.length / 3)])
		};
		const { report } = loadMesh(stlOf(mesh), 'x.stl');
		expect(report.warnings.map((w) => w.code)).toContain('overlapping-shells');
		expect(report.volumeMl).toBeGreaterThan(11.8);
		expect(report.volumeMl).toBeLessThan(12.2);
		expect(one.add(other).volume()).toBeCloseTo(12_000, 3);
	});

	it('whatever the bytes are, the answer is a mesh or a sentence', () => {
		const junk = fc.uint8Array({ maxLength: 600 });
		const head = fc.constantFrom(
			'',
			'solid x\nfacet ',
			'ply\nformat ascii 1.0\n',
			'PK\u0003\u0004',
			'v 1 2 3\nf ',
			'o x\n'
		);
		fc.assert(
			fc.property(
				head,
				junk,
				fc.constantFrom('a.stl', 'a.obj', 'a.ply', 'a.3mf', 'a'),
				(start, rest, name) => {
					const file = Uint8Array.from([...text(start), ...rest]);
					try {
						const { report } = loadMesh(file, name);
						expect(Number.isFinite(report.volumeMl)).toBe(true);
					} catch (error) {
						expect(error).toBeInstanceOf(MeshError);
					}
				}
			),
			{ numRuns: 400 }
		);
	});

	it('a flipped byte anywhere in a good file is taken or refused, never worse', () => {
		fc.assert(
			fc.property(fc.nat(bytes.length - 1), fc.nat(255), (at, value) => {
				const file = bytes.slice();
				file[at] = value;
				try {
					readMeshFile(file, 'x.stl');
				} catch (error) {
					expect(error).toBeInstanceOf(MeshError);
				}
			})
		);
	});

	it('progress can stop the work', () => {
		class StopError extends Error {
			override name = 'StopError';
		}
		const stop = () => {
			throw new StopError('stopped');
		};
		for (const [file, name] of [
			[bytes, 'a.stl'],
			[zip(model(cube)), 'a.3mf']
		] as const)
			expect(() => loadMesh(file, name, { progress: stop })).toThrow(StopError);
	});
});
