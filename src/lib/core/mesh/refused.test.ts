import fc from 'fast-check';
import { strToU8, zipSync } from 'fflate';
import { beforeAll, describe, expect, it } from 'vitest';
import { loadMesh, type Mesh, MeshError, readMeshFile } from '.';
import { geometry, meshOf, stlOf } from './shapes.testing';
import { asBinaryPly, asPly, asText, model, oneTriangle, text, volume, zip } from './files.testing';

let cube: Mesh;
let bytes: Uint8Array;
beforeAll(async () => {
	const lib = await geometry();
	cube = meshOf(lib.Manifold.cube([20, 30, 40]));
	bytes = stlOf(cube);
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

	it.each([1e39, 1e30, 2e6])('corners that lie %d mm out: a sentence, and no figure that is none', (far) => {
		const corner = (x: number, y: number, z: number) => `vertex ${x} ${y} ${z}`;
		const face = (...c: string[]) => `facet normal 0 0 1\nouter loop\n${c.join('\n')}\nendloop\nendfacet\n`;
		const huge = `solid x\n${face(corner(0, 0, 0), corner(far, 0, 0), corner(0, far, 0))}${face(corner(0, 0, 0), corner(far, 0, 0), corner(0, 0, far))}endsolid x\n`;
		expect(problem(text(huge))).toMatch(/over a kilometre apart/);
	});

	/** Triangles with corners anywhere in a box; the generator of Park and Miller, so that every run has the same. */
	const scraps = (count: number, corners?: number) => {
		let seed = 1;
		const next = () => (seed = (seed * 48_271) % 2_147_483_647) / 2_147_483_647;
		const points = Array.from({ length: corners ?? 3 * count }, () =>
			[next(), next(), next()].map((x) => 100 * x)
		);
		const vertices = new Float64Array(points.flat());
		const indices = Uint32Array.from({ length: 3 * count }, (_, i) =>
			corners === undefined ? i : Math.floor(next() * corners)
		);
		return stlOf({ vertices, indices });
	};
	it.each([
		['loose triangles', () => scraps(1000), /most of its triangles hang together with no other/],
		['more of them', () => scraps(100_000), /most of its triangles hang together with no other/],
		[
			'the same triangle again and again',
			() => {
				const one = new Float64Array([0, 0, 0, 9, 0, 0, 0, 9, 0]);
				return stlOf({ vertices: one, indices: Uint32Array.from({ length: 300_000 }, (_, i) => i % 3) });
			},
			/a line through it meets it hundreds of times/
		],
		[
			'triangles between the same few corners',
			() => scraps(20_000, 40),
			/a line through it meets it hundreds of times/
		]
	])('%s are no body, and are not worked on for minutes', (_, make, sentence) => {
		const tangle = make();
		const from = performance.now();
		expect(problem(tangle)).toMatch(/too tangled to tell inside from outside/);
		expect(problem(tangle)).toMatch(sentence);
		// a guard against working on for ever, far above what it takes
		expect(performance.now() - from).toBeLessThan(20_000);
	});
	it('a plate with a hundred thousand bodies', () => {
		const plate = model(cube, { item: '<item objectid="1"/>'.repeat(100_000) });
		expect(problem(zip(plate), 'x.3mf')).toMatch(/over 2000 bodies on its plate/);
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

	it('empty parts that hold each other cost no time without end', () => {
		const none = '<object id="2"><mesh><vertices/><triangles/></mesh></object>';
		const wide = (n: number) =>
			`<object id="${n}"><components>${`<component objectid="${n - 1}"/>`.repeat(100)}</components></object>`;
		const extra = none + [3, 4, 5, 6, 7].map(wide).join('');
		expect(problem(zip(model(cube, { extra, item: '<item objectid="7"/>' })), 'x.3mf')).toMatch(
			/without end/
		);
		// 10¹⁰ placings would take hours
	}, 60_000);

	it.each([
		['a corner that is a word', oneTriangle({ x: 'one' }), /corner of this 3MF is not a number/],
		['a part placed by three numbers', oneTriangle({ transform: '1 0 0' }), /placed by numbers/],
		['a part that is not there', oneTriangle({ item: '9' }), /names a part \(9\) that is not in it/],
		['a corner that is not there', oneTriangle({ v3: '7' }), /names a corner that is not there/],
		['half a corner', oneTriangle({ v3: '1.5' }), /names a corner that is not there/],
		['nothing but corners', oneTriangle({ triangles: '' }), /holds no triangle/]
	])('a 3MF with %s', (_what, xml, message) => {
		expect(problem(zip(xml), 'x.3mf')).toMatch(message);
	});

	it('a 3MF without a build places every object; one of an unknown unit is in millimetres', () => {
		const xml = model(cube, { unit: 'cubit' }).replace(/<build>.*<\/build>/, '');
		expect(volume(zip(xml), 'x.3mf')).toBeCloseTo(24, 6);
	});

	const head = (format: string, vertex: string, face: string) =>
		`ply\nformat ${format} 1.0\nelement vertex 4\n${vertex}element face 1\n${face}end_header\n`;
	const xyz = 'property float x\nproperty float y\nproperty float z\n';
	const list = 'property list uchar int vertex_indices\n';
	const square = '0 0 0\n1 0 0\n1 1 0\n0 1 0\n';
	it.each([
		['a kind that is not known', head('utf8', xyz, list), /kind "utf8" is not known/],
		['a number that is not known', head('ascii', xyz.replace('float z', 'half z'), list), /kind "half"/],
		[
			'no count',
			head('ascii', xyz, list).replace('vertex 4', 'vertex four'),
			/does not say how many of "vertex"/
		],
		[
			'too many faces',
			head('ascii', xyz, list).replace('face 1', 'face 900'),
			/more faces than it has bytes/
		],
		[
			'a face of two corners',
			head('ascii', xyz, list) + square + '2 0 1\n',
			/Face 1 of this PLY has 2 corners/
		],
		[
			'a face to nowhere',
			head('ascii', xyz, list) + square + '3 0 1 4\n',
			/names a corner that is not there/
		],
		[
			'a line that is too short',
			head('ascii', xyz, list) + square + '3 0 1\n',
			/line of this PLY is too short/
		],
		['points only', head('ascii', xyz, list).replace('face 1', 'face 0') + square, /cloud of points/]
	])('a PLY with %s', (_what, file, message) => {
		expect(problem(text(file), 'x.ply')).toMatch(message);
	});

	it('a PLY with more than corners and faces: other lists and elements are read past', () => {
		const file =
			'ply\nformat ascii 1.0\nelement edge 2\nproperty int from\nproperty list uchar short to\nelement vertex 4\n' +
			xyz +
			'property list uchar float weights\nelement face 1\nproperty uchar red\nproperty list uchar float texcoord\n' +
			list +
			'end_header\n0 2 5 6\n1 0\n' +
			square.replace(/\n/g, ' 2 0.5 0.5\n') +
			'200 4 0 0 1 1 4 0 1 2 3\n';
		const { parts } = readMeshFile(text(file), 'x.ply');
		// a square as a fan of two triangles
		expect(parts[0]!.positions.length / 9).toBe(2);
	});

	it('numbers of every kind in a PLY of bytes, either order', () => {
		const kinds = ['int8', 'uint8', 'int16', 'uint16', 'int32', 'uint32', 'float32', 'float64'] as const;
		const set = {
			int8: (v: DataView, at: number, n: number) => v.setInt8(at, n),
			uint8: (v: DataView, at: number, n: number) => v.setUint8(at, n),
			int16: (v: DataView, at: number, n: number, l: boolean) => v.setInt16(at, n, l),
			uint16: (v: DataView, at: number, n: number, l: boolean) => v.setUint16(at, n, l),
			int32: (v: DataView, at: number, n: number, l: boolean) => v.setInt32(at, n, l),
			uint32: (v: DataView, at: number, n: number, l: boolean) => v.setUint32(at, n, l),
			float32: (v: DataView, at: number, n: number, l: boolean) => v.setFloat32(at, n, l),
			float64: (v: DataView, at: number, n: number, l: boolean) => v.setFloat64(at, n, l)
		};
		const size = { int8: 1, uint8: 1, int16: 2, uint16: 2, int32: 4, uint32: 4, float32: 4, float64: 8 };
		const points = [0, 0, 0, 7, 0, 0, 0, 5, 0, 0, 0, 3];
		for (const kind of kinds)
			for (const little of [true, false]) {
				const body = new DataView(new ArrayBuffer(12 * size[kind] + 4));
				points.forEach((n, i) => set[kind](body, i * size[kind], n, little));
				[3, 1, 2, 3].forEach((n, i) => body.setUint8(12 * size[kind] + i, n));
				const start = head(
					`binary_${little ? 'little' : 'big'}_endian`,
					xyz.replaceAll('float', kind),
					'property list uchar uchar vertex_indices\n'
				);
				const { parts } = readMeshFile(
					Uint8Array.from([...text(start), ...new Uint8Array(body.buffer)]),
					'x.ply'
				);
				expect([...parts[0]!.positions], `${kind} ${little}`).toEqual(points.slice(3));
			}
	});

	it('an OBJ counts corners from its end too, has fans, groups, and thousands of corners', () => {
		const far = Array.from({ length: 5000 }, (_, i) => `v ${i} 0 0`).join('\n');
		const file = `${far}\nv 0 0 0\nv 4 0 0\nv 4 3 0\nv 0 3 0\ng\nf -4 -3 -2 -1\n`;
		const { parts } = readMeshFile(text(file), 'x.obj');
		expect(parts).toHaveLength(1);
		expect(parts[0]!.name).toBe('part 1');
		expect([...parts[0]!.positions]).toEqual([0, 0, 0, 4, 0, 0, 4, 3, 0, 0, 0, 0, 4, 3, 0, 0, 3, 0]);
		expect(problem(text('v 0 0 0\nf 1 1\n'), 'x.obj')).toMatch(/Line 2: a face has fewer than three corners/);
		expect(problem(text('v 0 0 0\nf 1 -2 1\n'), 'x.obj')).toMatch(/corner -2, which is not there/);
		expect(problem(text('v 0 0 x\nf 1 1 1\n'), 'x.obj')).toMatch(/not a number/);
	});

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
