import { createRequire } from 'node:module';
import { beforeAll, describe, expect, it } from 'vitest';
import { columnsVolumeMl, cutColumns, frameFor, measure, quickMeasureBytes, sections, topology } from '.';
import { geometry, meshFrom, meshOf, stlOf } from './shapes.testing';

let lib: Awaited<ReturnType<typeof geometry>>;
beforeAll(async () => void (lib = await geometry()));
const require = createRequire(import.meta.url);

describe('volume, area, centroid of a closed mesh', () => {
	it('a box by hand, far from the origin', () => {
		const m = measure(meshOf(lib.Manifold.cube([20, 30, 40]).translate([1e4, -5e3, 200])));
		expect(m.volumeMl).toBeCloseTo(24, 6);
		expect(m.areaMm2).toBeCloseTo(2 * (600 + 800 + 1200), 3);
		expect(m.centroid[0]).toBeCloseTo(10_010, 3);
		expect(m.centroid[2]).toBeCloseTo(220, 3);
		expect([m.min[1], m.max[1]]).toEqual([-5000, -4970]);
	});

	it('ball, cylinder and cone come near the analytic solids, from inside', () => {
		const ball = measure(meshOf(lib.Manifold.sphere(25, 256)));
		expect(ball.volumeMl / ((4 / 3) * Math.PI * 15.625)).toBeGreaterThan(0.999);
		expect(ball.volumeMl / ((4 / 3) * Math.PI * 15.625)).toBeLessThan(1);
		const tube = measure(meshOf(lib.Manifold.cylinder(50, 10, 10, 256)));
		expect(tube.volumeMl / (Math.PI * 5)).toBeCloseTo(1, 3);
		expect(tube.areaMm2 / (2 * Math.PI * 100 + 2 * Math.PI * 500)).toBeCloseTo(1, 3);
		const cone = measure(meshOf(lib.Manifold.cylinder(30, 12, 0, 256)));
		expect(cone.volumeMl / (Math.PI * 1.44)).toBeCloseTo(1, 3);
		// centroid of a cone: a quarter of its height
		expect(cone.centroid[2]).toBeCloseTo(7.5, 3);
	});

	it('agrees with the independent library on what it has cut and joined', () => {
		const shape = lib.Manifold.cube([40, 40, 20], true)
			.subtract(lib.Manifold.cylinder(60, 8, 5, 64, true))
			.add(lib.Manifold.sphere(14, 96).translate([18, 0, 12]))
			.rotate([17, 41, 5]);
		const m = measure(meshOf(shape));
		expect(m.volumeMl).toBeCloseTo(shape.volume() / 1000, 4);
		expect(m.areaMm2).toBeCloseTo(shape.surfaceArea(), 1);
		expect(topology(meshOf(shape))).toMatchObject({ watertight: true, shells: 1, openEdges: 0 });
	});

	it('columns measure the same volume a second way, whichever way is up', () => {
		const shape = lib.Manifold.sphere(20, 96).subtract(lib.Manifold.cube([50, 8, 8], true));
		for (const up of [
			[0, 0, 1],
			[1, 2, -0.5],
			[-1, 0, 0]
		] as const) {
			const columns = cutColumns(meshOf(shape), frameFor(up), 200);
			expect(columns.broken).toBe(0);
			expect(columnsVolumeMl(columns) / (shape.volume() / 1000)).toBeCloseTo(1, 2);
		}
	});

	it.each(['bunny', 'teapot'])('the open dataset %s: measured alike by both libraries', (name) => {
		const mesh = meshFrom(require(name));
		const m = measure(mesh);
		expect(mesh.indices.length).toBeGreaterThan(2000);
		// area by Heron's formula, the other way to it
		let heron = 0;
		const at = (i: number) => [0, 1, 2].map((k) => mesh.vertices[3 * mesh.indices[i]! + k]!);
		for (let t = 0; t < mesh.indices.length; t += 3) {
			const [p, q, r] = [at(t), at(t + 1), at(t + 2)] as const;
			const side = (a: number[], b: number[]) => Math.hypot(a[0]! - b[0]!, a[1]! - b[1]!, a[2]! - b[2]!);
			const [x, y, z] = [side(p, q), side(q, r), side(r, p)];
			const s = (x + y + z) / 2;
			heron += Math.sqrt(Math.max(0, s * (s - x) * (s - y) * (s - z)));
		}
		expect(m.areaMm2 / heron).toBeCloseTo(1, 6);
		expect(Number.isFinite(m.volumeMl)).toBe(true);
	});
});

describe('holes, turned faces, shells', () => {
	it('a box without its lid has four open edges; a turned face turns three', () => {
		const mesh = meshOf(lib.Manifold.cube([10, 10, 10]));
		const open = { ...mesh, indices: mesh.indices.slice(3) };
		expect(topology(open)).toMatchObject({ openEdges: 3, watertight: false });
		const turned = { ...mesh, indices: mesh.indices.slice() };
		[turned.indices[0], turned.indices[1]] = [turned.indices[1]!, turned.indices[0]!];
		expect(topology(turned)).toMatchObject({ turnedEdges: 3, openEdges: 0, watertight: false });
	});

	it('two bodies are two shells; a doubled one crowds its edges', () => {
		const two = meshOf(
			lib.Manifold.compose([lib.Manifold.cube([1, 1, 1]), lib.Manifold.cube([1, 1, 1]).translate([5, 0, 0])])
		);
		expect(topology(two)).toMatchObject({ shells: 2, watertight: true });
		const one = meshOf(lib.Manifold.cube([1, 1, 1]));
		const doubled = { ...one, indices: Uint32Array.from([...one.indices, ...one.indices]) };
		expect(topology(doubled)).toMatchObject({ crowdedEdges: 18, watertight: false });
	});
});

describe('thickest and thinnest section', () => {
	it('a plate of 6 mm is 6 mm both ways, to a cell', () => {
		const s = sections(meshOf(lib.Manifold.cube([80, 60, 6])));
		expect(Math.abs(s.thickestMm - 6)).toBeLessThan(1.5 * s.cellMm);
		expect(Math.abs(s.thinnestMm - 6)).toBeLessThan(1.5 * s.cellMm);
	});
	it('a ball of 40 mm holds a ball of 40 mm', () => {
		const s = sections(meshOf(lib.Manifold.sphere(20, 96)));
		expect(Math.abs(s.thickestMm - 40)).toBeLessThan(2.5 * s.cellMm);
	});
	it('a block with a 3 mm fin is thin at the fin', () => {
		const shape = lib.Manifold.cube([40, 40, 30]).add(lib.Manifold.cube([3, 40, 60]).translate([18, 0, 0]));
		const s = sections(meshOf(shape), 128);
		expect(Math.abs(s.thinnestMm - 3)).toBeLessThan(1.5 * s.cellMm);
		expect(s.thickestMm).toBeGreaterThan(27);
	});
});

describe('a first figure straight from the bytes', () => {
	it('is that of the independent library, and of the whole reading', () => {
		const shape = lib.Manifold.sphere(14, 96)
			.subtract(lib.Manifold.cube([50, 8, 8], true))
			.rotate([10, 20, 30]);
		const quick = quickMeasureBytes(stlOf(meshOf(shape)))!;
		expect(quick.volume / shape.volume()).toBeCloseTo(1, 5);
		expect(quick.area / shape.surfaceArea()).toBeCloseTo(1, 5);
	});

	it('keeps silent about what is no whole binary STL: the reader says what is wrong', () => {
		const bytes = stlOf(meshOf(lib.Manifold.cube([10, 20, 30])));
		expect(quickMeasureBytes(bytes)!.volume).toBeCloseTo(6000, 2);
		expect(quickMeasureBytes(bytes.subarray(0, 300))).toBeUndefined();
		expect(quickMeasureBytes(new TextEncoder().encode('solid x\nfacet normal 0 0 1\n'))).toBeUndefined();
		const torn = bytes.slice();
		new DataView(torn.buffer).setFloat32(84 + 12, NaN, true);
		expect(quickMeasureBytes(torn)).toBeUndefined();
		const none = bytes.slice(0, 84);
		new DataView(none.buffer).setUint32(80, 0, true);
		expect(quickMeasureBytes(none)).toBeUndefined();
	});
});
