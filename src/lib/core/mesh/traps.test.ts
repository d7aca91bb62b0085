import { beforeAll, describe, expect, it } from 'vitest';
import {
	bestPositions,
	findCeilings,
	findTraps,
	findUndercuts,
	flatFace,
	partingLine,
	unit,
	type Mesh,
	type Vec3
} from '.';
import { geometry, meshOf, rotated } from './shapes.testing';

let lib: Awaited<ReturnType<typeof geometry>>;
beforeAll(async () => void (lib = await geometry()));
const up: Vec3 = [0, 0, 1];
const down: Vec3 = [0, 0, -1];
const box = (x: number, y: number, z: number, at: [number, number, number] = [0, 0, 0]) =>
	lib.Manifold.cube([x, y, z], true).translate([at[0], at[1], at[2] + z / 2]);

/** A base with two posts of unlike height: the taller reaches the pour face. */
const posts = () =>
	meshOf(
		box(60, 20, 10)
			.add(box(10, 10, 40, [-20, 0, 0]))
			.add(box(8, 8, 25, [20, 0, 0]))
	);

describe('air traps of shapes with known answers', () => {
	it('posts of unlike height: the shorter one holds what stands above the base', () => {
		const { traps, totalMl } = findTraps(posts(), up);
		expect(traps).toHaveLength(1);
		// 8 × 8 × 15 mm above the base
		expect(Math.abs(traps[0]!.volumeMl - 0.96)).toBeLessThan(traps[0]!.errorMl);
		expect(traps[0]!.depthMm).toBeCloseTo(15, 6);
		expect(traps[0]!.apex[2]).toBeCloseTo(25, 6);
		expect(Math.abs(traps[0]!.apex[0] - 20)).toBeLessThan(4.1);
		expect(totalMl).toBe(traps[0]!.volumeMl);
		expect(findTraps(posts(), down).traps).toEqual([]);
	});

	it('a vent on it cures it, a vent elsewhere does not', () => {
		expect(findTraps(posts(), up, { openings: [[20, 0, 25]] }).traps).toEqual([]);
		expect(findTraps(posts(), up, { openings: [[0, 0, 10]] }).traps).toHaveLength(1);
	});

	it('a cup: none as it stands, none upturned but the level floor is a ceiling', () => {
		const cup = meshOf(
			lib.Manifold.cylinder(40, 20, 20, 96).subtract(
				lib.Manifold.cylinder(40, 17, 17, 96).translate([0, 0, 4])
			)
		);
		expect(findTraps(cup, up).traps).toEqual([]);
		// upturned, its rim down: the material of the floor is the top, and open
		expect(findTraps(cup, down).traps).toEqual([]);
		// the floor inside the standing cup looks up and is level, below the rim
		const floor = findCeilings(cup, up);
		expect(floor).toHaveLength(1);
		expect(floor[0]!.areaMm2 / (Math.PI * 289)).toBeCloseTo(1, 2);
		expect(floor[0]!.slopeDeg).toBeCloseTo(0, 6);
		expect(floor[0]!.tiltDeg).toBeCloseTo(12, 6);
		expect(findCeilings(cup, down)).toEqual([]);
	});

	it('a T on its stem is clean; on its head the arms fill and nothing stays', () => {
		const t = meshOf(box(10, 10, 40).add(box(60, 10, 10, [0, 0, 30])));
		expect(findTraps(t, up).traps).toEqual([]);
		expect(findTraps(t, down).traps).toEqual([]);
		// lying on its side with one arm up: the other arm hangs, the stem lies level below the tip
		expect(findTraps(t, [1, 0, 0]).traps).toEqual([]);
	});

	it('a hook whose tip points up holds air in the tip', () => {
		// stem 60 tall, foot to the side, tip 20 above the foot
		const hook = meshOf(
			box(10, 10, 60)
				.add(box(40, 10, 10, [15, 0, 0]))
				.add(box(10, 10, 30, [30, 0, 0]))
		);
		const { traps } = findTraps(hook, up);
		expect(traps).toHaveLength(1);
		expect(traps[0]!.volumeMl).toBeCloseTo(2, 1);
		expect(traps[0]!.depthMm).toBeCloseTo(20, 6);
		expect(findTraps(hook, down).traps).toEqual([]);
	});

	it('a ring is clean upright and lying: air runs round to its top', () => {
		const ring = meshOf(lib.Manifold.revolve(lib.CrossSection.circle(5, 48).translate([25, 0]), 128));
		expect(findTraps(ring, up).traps).toEqual([]);
		expect(findTraps(ring, [1, 0, 0]).traps).toEqual([]);
		expect(findTraps(ring, unit([1, 1, 0.3])).traps).toEqual([]);
	});

	it('a dome beside the pour cup: its volume above the spill by the cap’s formula', () => {
		// a ball of radius 15 sunk in a plate, beside a tall post: cap above the plate at 10 mm is 2πr³/3 + …
		const plate = box(100, 50, 10)
			.add(lib.Manifold.sphere(15, 128).translate([20, 0, 10]))
			.add(box(10, 10, 60, [-40, 0, 0]));
		const { traps } = findTraps(meshOf(plate), up);
		expect(traps).toHaveLength(1);
		const cap = ((2 / 3) * Math.PI * 15 ** 3) / 1000;
		expect(Math.abs(traps[0]!.volumeMl - cap)).toBeLessThan(traps[0]!.errorMl);
	});

	it('rotation of mesh and direction together changes nothing beyond the stated error', () => {
		const [c, s] = [Math.cos(0.7), Math.sin(0.7)];
		const rows: [Vec3, Vec3, Vec3] = [
			[c, -s, 0],
			[0.6 * s, 0.6 * c, -0.8],
			[0.8 * s, 0.8 * c, 0.6]
		];
		const turned = rotated(posts(), rows);
		const { traps } = findTraps(turned, [rows[0][2], rows[1][2], rows[2][2]]);
		const straight = findTraps(posts(), up).traps[0]!;
		expect(traps).toHaveLength(1);
		expect(Math.abs(traps[0]!.volumeMl - straight.volumeMl)).toBeLessThan(
			traps[0]!.errorMl + straight.errorMl
		);
		expect(traps[0]!.depthMm).toBeCloseTo(straight.depthMm, 3);
	});

	it('halving the resolution changes the volume by less than the stated error', () => {
		for (const mesh of [
			posts(),
			meshOf(
				lib.Manifold.sphere(20, 96)
					.add(box(6, 6, 50))
					.add(box(80, 10, 8, [0, 0, -4]))
					.rotate([8, 5, 0])
			)
		]) {
			const fine = findTraps(mesh, up, { cells: 256 });
			const rough = findTraps(mesh, up, { cells: 128 });
			expect(fine.traps.length).toBeGreaterThan(0);
			expect(rough.traps).toHaveLength(fine.traps.length);
			fine.traps.forEach((t, i) => {
				expect(Math.abs(t.volumeMl - rough.traps[i]!.volumeMl)).toBeLessThan(rough.traps[i]!.errorMl);
			});
		}
	});
});

describe('pouring position', () => {
	it('finds one without a trap for the posts, and puts it first', () => {
		const found = bestPositions(posts());
		expect(found.length).toBeGreaterThan(1);
		expect(found[0]!.trappedMl).toBeLessThan(0.02);
		expect(found.every((c, i) => i === 0 || c.trappedMl >= found[i - 1]!.trappedMl - 0.05)).toBe(true);
	});

	it('a table wants its legs down or its top down, never a mere corner up', () => {
		const legs = [-1, 1].flatMap((x) => [-1, 1].map((y) => box(6, 6, 40, [25 * x, 15 * y, 0])));
		const table = meshOf(lib.Manifold.union([box(60, 40, 6, [0, 0, 40]), ...legs]));
		const [best] = bestPositions(table);
		expect(best!.trappedMl).toBeLessThan(0.05);
	});
});

describe('undercuts and parting', () => {
	it('a ball has none, its parting line is its equator', () => {
		const ball = meshOf(lib.Manifold.sphere(20, 96));
		expect(findUndercuts(ball, up).share).toBeLessThan(0.01);
		const line = partingLine(ball, up);
		expect(line.length).toBeGreaterThan(100);
		for (let i = 2; i < line.length; i += 3) expect(Math.abs(line[i]!)).toBeLessThan(1);
	});

	it('a bobbin pulled along its axis is undercut all round its waist; across, it is free', () => {
		const bobbin = meshOf(
			lib.Manifold.union([
				lib.Manifold.cylinder(5, 20, 20, 96),
				lib.Manifold.cylinder(30, 10, 10, 96),
				lib.Manifold.cylinder(5, 20, 20, 96).translate([0, 0, 25])
			])
		);
		const along = findUndercuts(bobbin, up);
		// waist 2π·10·20 and the two inner rings π(400 − 100) each
		const hidden = 2 * Math.PI * 10 * 20 + 2 * Math.PI * 300;
		expect(Math.abs(along.areaMm2 / hidden - 1)).toBeLessThan(0.08);
		expect(Math.abs(along.depthMm - 10)).toBeLessThan(1.5);
		expect(findUndercuts(bobbin, [1, 0, 0]).share).toBeLessThan(0.02);
	});

	it('the flat face of a box is that face', () => {
		const mesh: Mesh = meshOf(lib.Manifold.cube([10, 20, 30]));
		const areas = [200, 300, 600];
		for (let t = 0; t < 12; t++)
			expect(areas.some((a) => Math.abs(flatFace(mesh, t).areaMm2 - a) < 1e-6)).toBe(true);
		expect(() => flatFace(mesh, 12)).toThrow(RangeError);
	});
});
