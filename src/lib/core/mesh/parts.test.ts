import fc from 'fast-check';
import { beforeAll, describe, expect, it } from 'vitest';
import {
	cluster,
	cross,
	cutColumns,
	directions,
	dot,
	findCeilings,
	findTraps,
	flatFace,
	frameFor,
	fromFrame,
	measure,
	pick,
	quickMeasure,
	readMeshFile,
	toFrame,
	topology,
	unit,
	weld,
	type Vec3
} from '.';
import { geometry, meshOf, rotated, stlOf } from './shapes.testing';

let lib: Awaited<ReturnType<typeof geometry>>;
beforeAll(async () => void (lib = await geometry()));
const coordinate = fc.double({ min: -100, max: 100, noNaN: true });
const vector = fc.tuple(coordinate, coordinate, coordinate) as fc.Arbitrary<Vec3>;
const direction = vector.filter((v) => Math.hypot(...v) > 1e-3);

describe('frames', () => {
	it('are right-handed, at right angles, and of length one, for every direction', () => {
		fc.assert(
			fc.property(direction, (up) => {
				const f = frameFor(up);
				for (const axis of [f.u, f.v, f.w]) expect(Math.hypot(...axis)).toBeCloseTo(1, 9);
				expect(dot(f.u, f.v)).toBeCloseTo(0, 9);
				expect(dot(f.w, f.u)).toBeCloseTo(0, 9);
				cross(f.u, f.v).forEach((x, k) => expect(x).toBeCloseTo(f.w[k]!, 9));
				expect(dot(f.w, up)).toBeCloseTo(Math.hypot(...up), 6);
			})
		);
	});

	it('there and back again is where it was', () => {
		fc.assert(
			fc.property(direction, vector, (up, p) => {
				const f = frameFor(up);
				fromFrame(f, toFrame(f, p)).forEach((x, k) => expect(x).toBeCloseTo(p[k]!, 6));
			})
		);
	});

	it('a direction that is none is refused', () => {
		expect(() => unit([0, 0, 0])).toThrow(RangeError);
		expect(() => unit([NaN, 0, 1])).toThrow(RangeError);
	});

	it('directions lie on the sphere, the axes among them, none twice', () => {
		const all = directions(96);
		expect(all).toHaveLength(102);
		for (const d of all) expect(Math.hypot(...d)).toBeCloseTo(1, 9);
		const nearest = all.map((d, i) => Math.max(...all.filter((_, k) => k !== i).map((o) => dot(d, o))));
		for (const n of nearest) expect(n).toBeLessThan(0.999999);
	});
});

describe('corners that are shared', () => {
	it('a cube of twelve loose triangles has eight corners and is closed', () => {
		const file = readMeshFile(stlOf(meshOf(lib.Manifold.cube([2, 2, 2]))), 'x.stl');
		const { mesh, collapsed } = weld(file.parts[0]!, 1);
		expect(mesh.vertices.length / 3).toBe(8);
		expect(collapsed).toBe(0);
		expect(topology(mesh)).toMatchObject({ watertight: true, shells: 1 });
	});

	it('minus nought and nought are one spot; triangles that are lines are left out', () => {
		const positions = Float32Array.from([
			0, 0, 0, 1, 0, 0, 0, 1, 0, -0, 0, -0, 0, 1, 0, 1, 0, 0, 5, 5, 5, 5, 5, 5, 6, 6, 6
		]);
		const { mesh, collapsed } = weld({ positions, triangles: 3 }, 1);
		expect(collapsed).toBe(1);
		expect(mesh.indices).toHaveLength(6);
		expect(new Set(mesh.indices).size).toBe(3);
	});

	it('the unit scales lengths once', () => {
		const file = readMeshFile(stlOf(meshOf(lib.Manifold.cube([2, 3, 4]))), 'x.stl');
		expect(measure(weld(file.parts[0]!, 25.4).mesh).volumeMl).toBeCloseTo((24 * 25.4 ** 3) / 1000, 3);
	});

	it('the first figure of a file agrees with the one that is worked out in full', () => {
		fc.assert(
			fc.property(fc.integer({ min: 3, max: 40 }), fc.double({ min: 1, max: 40, noNaN: true }), (n, r) => {
				const file = readMeshFile(stlOf(meshOf(lib.Manifold.cylinder(2 * r, r, r / 2, n))), 'x.stl');
				const quick = quickMeasure(file.parts[0]!);
				const full = measure(weld(file.parts[0]!, 1).mesh);
				expect(quick.volume / 1000 / full.volumeMl).toBeCloseTo(1, 4);
				expect(quick.area / full.areaMm2).toBeCloseTo(1, 4);
			}),
			{ numRuns: 30 }
		);
	});
});

describe('columns', () => {
	it('hold the volume of a turned body whichever way it is turned', () => {
		const body = meshOf(lib.Manifold.cube([30, 20, 12], true));
		for (const angle of [0.2, 0.9, 2.1]) {
			const [c, s] = [Math.cos(angle), Math.sin(angle)];
			const turned = rotated(body, [
				[c, -s, 0],
				[s, c, 0],
				[0, 0, 1]
			]);
			const columns = cutColumns(turned, frameFor([0, 0, 1]), 150);
			let sum = 0;
			for (let i = 0; i < columns.top.length; i++) sum += columns.top[i]! - columns.bottom[i]!;
			expect((sum * columns.cellMm ** 2) / 7200).toBeCloseTo(1, 1);
			expect(columns.broken).toBe(0);
		}
	});

	it('a bowl has one piece in each column of its wall, two under an overhang', () => {
		const bobbin = meshOf(
			lib.Manifold.union([
				lib.Manifold.cylinder(4, 10, 10, 64),
				lib.Manifold.cylinder(20, 4, 4, 64),
				lib.Manifold.cylinder(4, 10, 10, 64).translate([0, 0, 16])
			])
		);
		const { start, nx, ny } = cutColumns(bobbin, frameFor([0, 0, 1]), 64);
		const counts = new Set(Array.from({ length: nx * ny }, (_, c) => start[c + 1]! - start[c]!));
		expect([...counts].sort()).toEqual([0, 1, 2]);
	});
});

describe('a ray', () => {
	it('meets the near face of a ball at its radius, and nothing beside it', () => {
		const ball = meshOf(lib.Manifold.sphere(10, 128));
		const hit = pick(ball, [0, 0, 50], [0, 0, -1])!;
		expect(hit.point[2]).toBeCloseTo(10, 1);
		expect(pick(ball, [0, 20, 50], [0, 0, -1])).toBeUndefined();
		expect(pick(ball, [0, 0, 50], [0, 0, 1])).toBeUndefined();
	});

	it('goes through what is cut away', () => {
		const ball = meshOf(lib.Manifold.sphere(10, 128));
		const clip = { normal: [0, 0, -1] as const, offset: 0 };
		const hit = pick(ball, [0.3, 0.2, 50], [0, 0, -1], clip)!;
		expect(hit.point[2]).toBeCloseTo(-10, 1);
	});

	it('the face that it met is the face that is opened', () => {
		const box = meshOf(lib.Manifold.cube([10, 20, 30], true));
		const hit = pick(box, [1, 2, 99], [0, 0, -1])!;
		const face = flatFace(box, hit.triangle);
		expect(face.areaMm2).toBeCloseTo(200, 6);
		expect(face.normal[2]).toBeCloseTo(1, 9);
	});
});

describe('a coarser mesh', () => {
	it('keeps the volume of a smooth body to a few per cent with far fewer triangles', () => {
		const fine = meshOf(lib.Manifold.sphere(30, 400));
		const rough = cluster(fine, 48);
		expect(rough.indices.length).toBeLessThan(fine.indices.length / 4);
		expect(measure(rough).volumeMl / measure(fine).volumeMl).toBeCloseTo(1, 1);
		expect(topology(rough).openEdges).toBe(0);
	});
});

describe('ceilings and traps under any turn', () => {
	it('a level sliver with no area to speak of is no ceiling and stops nothing', () => {
		const box = meshOf(lib.Manifold.cube([20, 20, 20]));
		const n = box.vertices.length / 3;
		const mesh = {
			vertices: Float64Array.from([...box.vertices, 5, 5, 10, 5 + 1e-9, 5, 10, 5, 5 + 1e-9, 10]),
			indices: Uint32Array.from([...box.indices, n, n + 1, n + 2])
		};
		expect(findCeilings(mesh, [0, 0, 1])).toEqual([]);
	});

	it('a slope is a ceiling only while it is nearly level, and says how much is missing', () => {
		for (const [tilt, level] of [
			[0, true],
			[5, true],
			[10, false],
			[30, false]
		] as const) {
			const wedge = meshOf(
				lib.Manifold.cube([40, 40, 20], true)
					.rotate([tilt, 0, 0])
					.add(lib.Manifold.cube([4, 4, 80]).translate([-2, -2, 0]))
			);
			const found = findCeilings(wedge, [0, 0, 1]);
			expect(found.length > 0, `${tilt}°`).toBe(level);
			if (level) {
				expect(found[0]!.slopeDeg).toBeCloseTo(tilt, 3);
				expect(found[0]!.tiltDeg).toBeCloseTo(12 - tilt, 3);
			}
		}
	});

	it('what is trapped never exceeds the piece, in any position', () => {
		const body = lib.Manifold.union([
			lib.Manifold.sphere(15, 48),
			lib.Manifold.cylinder(40, 4, 3, 32).rotate([50, 20, 0]),
			lib.Manifold.cylinder(40, 4, 3, 32).rotate([-60, 80, 0])
		]);
		const mesh = meshOf(body);
		fc.assert(
			fc.property(direction, (up) => {
				const { traps, totalMl } = findTraps(mesh, up, { cells: 64 });
				expect(totalMl).toBeGreaterThanOrEqual(0);
				expect(totalMl).toBeLessThan(body.volume() / 1000);
				for (const t of traps) {
					expect(t.depthMm).toBeGreaterThan(0);
					expect(t.columns.length % 4).toBe(0);
				}
			}),
			{ numRuns: 40 }
		);
	});

	it('a vent at every apex leaves no trap behind', () => {
		const mesh = meshOf(
			lib.Manifold.union([
				lib.Manifold.cube([80, 20, 8], true),
				...[-30, -10, 10, 30].map((x, i) => lib.Manifold.cylinder(15 + 6 * i, 4, 3, 32).translate([x, 0, 0]))
			])
		);
		const first = findTraps(mesh, [0, 0, 1]);
		expect(first.traps).toHaveLength(3);
		const after = findTraps(mesh, [0, 0, 1], { openings: first.traps.map((t) => t.apex) });
		expect(after.traps).toEqual([]);
		const one = findTraps(mesh, [0, 0, 1], { openings: [first.traps[0]!.apex] });
		expect(one.traps).toHaveLength(2);
		expect(one.totalMl).toBeLessThan(first.totalMl);
	});
});
