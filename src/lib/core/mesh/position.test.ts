import { beforeAll, describe, expect, it } from 'vitest';
import { bestPositions, byRank, dot, findUndercuts, partingLine, unit, type Candidate, type Mesh } from '.';
import { study } from '../master/study';
import { geometry, meshOf, rotated } from './shapes.testing';

let lib: Awaited<ReturnType<typeof geometry>>;
let hand: Mesh;
beforeAll(async () => {
	lib = await geometry();
	// a palm with four fingers of unlike length, all pointing up
	hand = meshOf(
		lib.Manifold.union([
			lib.Manifold.cube([50, 16, 40], true),
			...[0, 1, 2, 3].map((i) =>
				lib.Manifold.cylinder(30 + 5 * (i % 3), 5, 4, 32).translate([-18 + 12 * i, 0, 18])
			)
		])
	);
});

describe('candidates', () => {
	const c = (over: Partial<Candidate>): Candidate => ({
		up: [0, 0, 1],
		trappedMl: 0,
		vents: 0,
		undercutShare: 0,
		undercutDepthMm: 0,
		...over
	});
	it('least trapped first, then fewest vents, then least undercut', () => {
		const sorted = [
			c({ trappedMl: 2 }),
			c({ trappedMl: 0.01, vents: 2 }),
			c({ vents: 1, undercutShare: 0.4 }),
			c({ vents: 1, undercutShare: 0.1 })
		].sort(byRank);
		expect(sorted.map((x) => [x.trappedMl, x.vents, x.undercutShare])).toEqual([
			[0, 1, 0.1],
			[0, 1, 0.4],
			[0.01, 2, 0],
			[2, 0, 0]
		]);
	});

	it('a hand is poured with its fingers down, and the choices differ', () => {
		const told: number[] = [];
		const found = bestPositions(hand, (share) => told.push(share));
		expect(found[0]!.trappedMl).toBeLessThan(0.05);
		expect(found[0]!.up[2]).toBeLessThan(0.9);
		for (const [i, a] of found.entries())
			for (const b of found.slice(i + 1)) expect(dot(a.up, b.up)).toBeLessThan(Math.cos(Math.PI / 6) + 1e-9);
		// progress only ever goes on, and ends
		expect(told.every((s, i) => i === 0 || s >= told[i - 1]! - 1e-9)).toBe(true);
		expect(told.at(-1)).toBeCloseTo(1, 6);
	});

	it('fingers up there is a pocket in each but the longest', () => {
		const { traps } = study(hand, { up: [0, 0, 1], openings: [] });
		expect(traps.traps).toHaveLength(3);
		const sprue = {
			kind: 'sprue' as const,
			at: [traps.traps[0]!.apex[0], traps.traps[0]!.apex[1], traps.traps[0]!.apex[2]] as [
				number,
				number,
				number
			]
		};
		expect(study(hand, { up: [0, 0, 1], openings: [sprue] }).traps.traps).toHaveLength(2);
	});
});

describe('undercuts and the line between halves', () => {
	it('turn with the piece', () => {
		const pull = unit([0.3, 1, -0.2]);
		const rows = [
			[0, 1, 0],
			[-1, 0, 0],
			[0, 0, 1]
		] as const;
		const turned = rotated(hand, [rows[0], rows[1], rows[2]]);
		const a = findUndercuts(hand, pull);
		const b = findUndercuts(turned, [pull[1], -pull[0], pull[2]]);
		expect(Math.abs(a.share - b.share)).toBeLessThan(0.02);
	});

	it('pulled the other way it is the same mould', () => {
		const a = findUndercuts(hand, [0, 1, 0]);
		const b = findUndercuts(hand, [0, -1, 0]);
		expect(a.share).toBeCloseTo(b.share, 2);
		expect(partingLine(hand, [0, 1, 0]).length).toBe(partingLine(hand, [0, -1, 0]).length);
	});

	it('every end of the parting line meets another: it is closed', () => {
		const ball = meshOf(lib.Manifold.sphere(20, 64).rotate([10, 20, 30]));
		const line = partingLine(ball, [0.1, 0.2, 1]);
		const ends = new Map<string, number>();
		for (let i = 0; i < line.length; i += 3) {
			const key = `${line[i]},${line[i + 1]},${line[i + 2]}`;
			ends.set(key, (ends.get(key) ?? 0) + 1);
		}
		expect(ends.size).toBeGreaterThan(20);
		expect([...ends.values()].every((n) => n % 2 === 0)).toBe(true);
	});

	it('a box pulled straight is free, whatever its size', () => {
		for (const size of [1, 20, 300])
			expect(findUndercuts(meshOf(lib.Manifold.cube([size, size, size])), [0, 0, 1]).share).toBe(0);
	});
});
