import { tackS } from './kinds/jacket/tack';
import fc from 'fast-check';
import { beforeAll, describe, expect, it } from 'vitest';
import { geometry, meshOf } from '../mesh/shapes.testing';
import { profile } from '../mesh/profile';
import { HOLD_AFTER_COLLAPSE_S, RISE_S, vacuum } from '../pressurePot';
import {
	boardsFor,
	brickCourses,
	cavityVolumeMl,
	closingWords,
	CLOSINGS,
	gridFor,
	keysFor,
	planJacket,
	planPress,
	planRigid,
	reliefWords,
	seamFor,
	splitMixes,
	spread,
	tubeFor,
	type Slice
} from '.';
import { areaOutsideMm2, layerVolumeMl, PRINT_COAT_MM } from './kinds/jacket/jacket';

let lib: Awaited<ReturnType<typeof geometry>>;
beforeAll(async () => void (lib = await geometry()));

const rubber = {
	densityGPerMl: 1.1,
	ratio: { by: 'weight', a: 100, b: 10 },
	workingTimeS: 2400,
	cureTimeS: 14_400,
	refTempC: 23,
	cureKind: 'addition'
} as const;
const piece = { footprint: 'rectangular', lengthMm: 60, widthMm: 40, heightMm: 50 } as const;

describe('boxing', () => {
	it('boards close round the inside: the short sides stand between the long ones', () => {
		const [long, short, base] = boardsFor({ shape: 'box', lengthMm: 84, widthMm: 64, heightMm: 62 }, 12);
		expect(long).toMatchObject({ count: 2, lengthMm: 84 + 24, widthMm: 72, thicknessMm: 12 });
		expect(short).toMatchObject({ count: 2, lengthMm: 64, widthMm: 72 });
		expect(base).toMatchObject({ count: 1, lengthMm: 84 + 24 + 50, widthMm: 64 + 24 + 50 });
		expect(tubeFor({ shape: 'tube', diameterMm: 76.2, heightMm: 60 }, 12)[0]).toMatchObject({
			lengthMm: 70,
			widthMm: 76.2
		});
	});

	it('bricks round up to whole pitches and count their corners', () => {
		const courses = brickCourses(piece, 12, 12, { pitchMm: 10, heightMm: 10 });
		// 60 + 24 → 9 pitches, 40 + 24 → 7; 62 mm in courses of 10 are 7, the last 2 mm high
		expect(courses).toHaveLength(7);
		expect(courses[0]).toEqual({ lengthMm: 90, widthMm: 70, heightMm: 10, units: 2 * (9 + 7) + 4 });
		expect(courses[6]!.heightMm).toBeCloseTo(2, 9);
		expect(cavityVolumeMl({ shape: 'courses', heightMm: 62, courses })).toBeCloseTo(9 * 7 * 6.2, 9);
	});

	it('close-fitting courses follow a cone from the independent library and always clear it', () => {
		const cone = lib.Manifold.cylinder(60, 40, 5, 96);
		// foot down: what points up in the pour is the foot, so the profile begins there
		const reach = profile(meshOf(cone), [0, 0, -1], 60);
		const slices: Slice[] = reach.map((reachMm, i) => ({ fromMm: i, toMm: i + 1, reachMm }));
		const size = { footprint: 'round', lengthMm: 80, widthMm: 80, heightMm: 60 } as const;
		const close = brickCourses(size, 8, 12, { pitchMm: 5, heightMm: 10 }, slices);
		const straight = brickCourses(size, 8, 12, { pitchMm: 5, heightMm: 10 });
		const ml = (courses: typeof close) => cavityVolumeMl({ shape: 'courses', heightMm: 72, courses });
		expect(ml(close)).toBeLessThan(0.8 * ml(straight));
		close.forEach((c, i) => {
			const widest = 2 * (40 - ((40 - 5) * Math.min(60, i * 10)) / 60);
			if (i * 10 < 60) expect(c.lengthMm).toBeGreaterThanOrEqual(widest + 16 - 1e-6);
		});
	});

	it('the profile of a tilted box is that of the library’s own slices', () => {
		const body = lib.Manifold.cube([30, 20, 50], true).rotate([0, 25, 0]);
		const reach = profile(meshOf(body), [0, 0, 1], 24);
		const { min, max } = body.boundingBox();
		reach.forEach(([from, to], i) => {
			const hi = max[2] - ((max[2] - min[2]) * i) / 24;
			const lo = max[2] - ((max[2] - min[2]) * (i + 1)) / 24;
			const slab = lib.Manifold.cube([200, 200, hi - lo], true).translate([0, 0, (hi + lo) / 2]);
			const cut = body.intersect(slab).boundingBox();
			expect(to - from).toBeCloseTo(cut.max[0] - cut.min[0], 2);
		});
	});
});

describe('several cavities', () => {
	it('four squares lie two by two, three round ones in a row or an L, whatever is smaller', () => {
		const square = { footprint: 'rectangular', lengthMm: 40, widthMm: 40, heightMm: 20 } as const;
		expect(gridFor(4, square, 10, 'box', 12)).toMatchObject({
			columns: 2,
			rows: 2,
			size: { lengthMm: 90, widthMm: 90 }
		});
		expect(gridFor(1, square, 10, 'box', 12).size).toBe(square);
		expect(gridFor(3, square, 10, 'box', 12)).toMatchObject({ columns: 1, rows: 3 });
	});
	it('no layout has fewer places than cavities, and none is smaller', () => {
		fc.assert(
			fc.property(
				fc.integer({ min: 1, max: 24 }),
				fc.double({ min: 5, max: 200, noNaN: true }),
				fc.double({ min: 5, max: 200, noNaN: true }),
				(count, lengthMm, widthMm) => {
					const one = { footprint: 'rectangular' as const, lengthMm, widthMm, heightMm: 30 };
					const grid = gridFor(count, one, 8, 'box', 10);
					expect(grid.columns * grid.rows).toBeGreaterThanOrEqual(count);
					const area = (grid.size.lengthMm + 20) * (grid.size.widthMm + 20);
					for (let c = 1; c <= count; c++) {
						const r = Math.ceil(count / c);
						const other = (c * lengthMm + (c - 1) * 8 + 20) * (r * widthMm + (r - 1) * 8 + 20);
						expect(area).toBeLessThanOrEqual(other + 1e-6);
					}
				}
			)
		);
	});
});

describe('a jacket', () => {
	it('a layer on a ball is exact; on any convex body of the library it is the least', () => {
		const ball = lib.Manifold.sphere(50, 256);
		const grown = lib.Manifold.sphere(58, 256);
		const exact = (grown.volume() - ball.volume()) / 1000;
		expect(layerVolumeMl(4 * Math.PI * 2500, 8) / exact).toBeCloseTo(1, 2);
		expect(areaOutsideMm2(4 * Math.PI * 2500, 8)).toBeCloseTo(4 * Math.PI * 58 ** 2, 6);
		const box = lib.Manifold.cube([60, 40, 90], true);
		const round = box.minkowskiSum(lib.Manifold.sphere(6, 48));
		const layer = (round.volume() - box.volume()) / 1000;
		expect(layerVolumeMl(box.surfaceArea(), 6)).toBeLessThan(layer);
		expect(layerVolumeMl(box.surfaceArea(), 6)).toBeGreaterThan(0.9 * layer);
	});

	it('coats add up to the skin; the first is thin and has no thickener; the shell waits for the rubber', () => {
		const plan = planJacket({ master: piece, areaMm2: 10_000, skinMm: 7, coats: 4, rubber, roomTempC: 23 });
		expect(plan.coats.map((c) => c.thicknessMm)).toEqual([PRINT_COAT_MM, 2, 2, 2]);
		expect(plan.coats.reduce((s, c) => s + c.massG, 0)).toBeCloseTo(plan.rubber.massG, 9);
		expect(plan.a.massG / plan.b.massG).toBeCloseTo(10, 9);
		expect(plan.coats[0]!.thickenerG).toBe(0);
		expect(plan.coats[1]!.thickenerG).toBeCloseTo(0.03 * plan.coats[1]!.b.massG, 9);
		// three waits until a coat has gelled, the cure, and two parts of shell; a sheet that says when goes first
		const tack = tackS(rubber.workingTimeS, rubber.cureTimeS);
		expect(plan.readyInS).toBeCloseTo(3 * tack + 14_400 + 2 * 4 * 3600, 6);
		const said = planJacket({ master: piece, skinMm: 7, coats: 4, recoatS: 2700, rubber, roomTempC: 23 });
		expect(said.coats[3]!.startS).toBeCloseTo(3 * 2700, 6);
		expect(plan.shell.bolts).toBeGreaterThanOrEqual(6);
	});

	it('plaster is laid in layers with its overlap, resin is weighed', () => {
		const of = (shellKind: 'resin' | 'plaster') =>
			planJacket({ master: piece, skinMm: 8, shellKind, shellMm: 6, rubber, roomTempC: 23 }).shell;
		expect(of('plaster')).toMatchObject({ massG: 0, layers: 6 });
		expect(of('plaster').bandageMm2).toBeGreaterThan(6 * of('plaster').areaMm2);
		expect(of('resin').massG).toBeCloseTo(of('resin').volumeMl * 1.15, 9);
	});

	it.each([
		[{ skinMm: 1 }, 'skinMm'],
		[{ coats: 1 }, 'coats'],
		[{ shellParts: 1 }, 'shellParts'],
		[{ areaMm2: 0 }, 'areaMm2']
	])('%j is refused at its field', (part, field) => {
		expect(() => planJacket({ master: piece, rubber, roomTempC: 23, ...part })).toThrow();
		try {
			planJacket({ master: piece, rubber, roomTempC: 23, ...part });
		} catch (e) {
			const error = e as { path?: unknown[]; issues?: { path: unknown[] }[] };
			expect((error.path ?? error.issues![0]!.path)[0]).toBe(field);
		}
	});
});

describe('a press mould', () => {
	const input = {
		master: piece,
		masterVolumeMl: 60,
		clearanceMm: 8,
		coverMm: 10,
		partingMm: 20,
		material: { densityGPerMl: 0.95, softenTempC: 95, coolS: 3600 },
		roomTempC: 21
	};
	it('halves by hand: a box of 76 × 56 mm, 30 mm below the line and 40 above', () => {
		const plan = planPress(input);
		expect(plan.first.volumeMl).toBeCloseTo(7.6 * 5.6 * 4 - 36, 9);
		expect(plan.second.volumeMl).toBeCloseTo(7.6 * 5.6 * 3 - 24, 9);
		expect(plan.rubber.massG).toBeCloseTo(0.95 * plan.netVolumeMl, 9);
		expect(plan.readyInS).toBe(2 * (600 + 180 + 3600));
		expect(plan.clay.massG).toBeCloseTo(1.6 * plan.second.volumeMl, 9);
		expect(plan.warnings).toEqual([]);
	});
	it('a master subtracted by the independent library leaves the same material', () => {
		const ball = lib.Manifold.sphere(20, 128);
		const block = lib.Manifold.cube([56, 56, 60], true);
		const plan = planPress({
			...input,
			master: { footprint: 'round', lengthMm: 40, widthMm: 40, heightMm: 40 },
			masterVolumeMl: ball.volume() / 1000
		});
		expect(plan.netVolumeMl).toBeCloseTo(block.subtract(ball).volume() / 1000, 3);
	});
	it('warns of what boiling water does not soften, refuses a line off the master', () => {
		expect(planPress({ ...input, material: { ...input.material, softenTempC: 120 } }).warnings[0]!.code).toBe(
			'hotter-than-water'
		);
		expect(() => planPress({ ...input, partingMm: 50 })).toThrow(/round the master/);
	});
});

describe('a rigid mould', () => {
	it('a print is its box less the master by its infill; a bought one takes nothing', () => {
		const common = { master: piece, masterVolumeMl: 60, wallMm: 5 };
		const printed = planRigid({ ...common, source: 'printed', infillPercent: 40 });
		expect(printed.material.volumeMl).toBeCloseTo(0.4 * (7 * 5 * 5.5 - 60), 9);
		expect(planRigid({ ...common, source: 'bought' }).material.massG).toBe(0);
		expect(printed.seamMm).toBeCloseTo(2 * 55 + 70, 9);
		expect(printed.putty.volumeMl).toBeCloseTo((180 * Math.PI * 4) / 1000, 9);
		expect(planRigid({ ...common, parts: 1 }).seamMm).toBe(0);
	});
	it('warns when the resin softens it', () => {
		const at = (faceTempC: number) =>
			planRigid({ master: piece, masterVolumeMl: 60, softensC: 60, faceTempC }).warnings.map((w) => w.code);
		expect(at(70)).toEqual(['rigid-warps']);
		expect(at(40)).toEqual([]);
	});
});

describe('mixes', () => {
	const mix = { massG: 2000, densityGPerMl: 1, workingTimeS: 3600 };
	it('by hand: two thirds of a litre cup, a fifth of a vessel, what the scale weighs', () => {
		expect(splitMixes(mix).count).toBe(1);
		expect(splitMixes({ ...mix, cupMl: 1000 })).toMatchObject({ count: 3, limit: 'cup' });
		expect(splitMixes({ ...mix, vesselMl: 2500 })).toMatchObject({
			count: 4,
			massEachG: 500,
			limit: 'vessel'
		});
		expect(splitMixes({ ...mix, scaleCapacityG: 1000, cupMl: 5000 })).toMatchObject({
			count: 2,
			limit: 'scale'
		});
	});
	it('every mix fits, and one fewer would not', () => {
		fc.assert(
			fc.property(
				fc.double({ min: 10, max: 20_000, noNaN: true }),
				fc.double({ min: 100, max: 5000, noNaN: true }),
				(massG, cupMl) => {
					const { count, massEachG } = splitMixes({ ...mix, massG, cupMl, workingTimeS: 1e6 });
					expect(massEachG).toBeLessThanOrEqual((cupMl * 2) / 3 + 1e-6);
					if (count > 1) expect(massG / (count - 1)).toBeGreaterThan((cupMl * 2) / 3 - 1e-6);
				}
			)
		);
	});
	it('a working time shorter than the mixing says what would do', () => {
		expect(() => splitMixes({ ...mix, workingTimeS: 240 })).toThrow(/workable for 7:30 min or more/);
		expect(() => splitMixes({ ...mix, workingTimeS: 700, vacuumS: 450 })).toThrow(/without vacuum/);
		expect(splitMixes({ ...mix, cupMl: 500, workingTimeS: 900 }).warnings[0]!.code).toBe('mixes-too-slow');
	});
});

describe('vacuum', () => {
	const input = {
		mixVolumeMl: 300,
		vesselMl: 2000,
		chamberL: 12,
		pumpLPerMin: 70,
		targetKpa: 3,
		ultimateKpa: 0.5
	};
	it('Boyle: a millilitre of air at 101.325 kPa has 33.775 at 3 kPa', () => {
		const all = vacuum({ ...input, mixVolumeMl: 100, airShare: 0.01, mostRise: 20 });
		expect(all.boyleRise).toBeCloseTo(0.99 + 0.33775, 6);
		expect(all.risenMl).toBeCloseTo(99 + 33.775, 3);
	});
	it('it rises to five times at most, since bubbles burst (common practice, no source)', () => {
		expect(vacuum({ ...input, airShare: 0.3 }).risenMl).toBeCloseTo(1500, 9);
	});
	it('pump-down is that of the same equation solved in small steps', () => {
		const plan = vacuum(input);
		let p = 101.325;
		let t = 0;
		const dt = 0.001;
		while (p > 3) {
			p -= (70 / 60 / 11.7) * (p - 0.5) * dt;
			t += dt;
		}
		expect(plan.pumpDownS).toBeCloseTo(t, 1);
		expect(plan.takesS).toBeCloseTo(plan.pumpDownS + RISE_S + HOLD_AFTER_COLLAPSE_S, 9);
	});
	it('a vessel too small is said with what would do; a pump cannot pass its end', () => {
		const w = vacuum({ ...input, airShare: 0.3, vesselMl: 1000 });
		expect(w.fits).toBe(false);
		expect(w.warnings[0]).toMatchObject({ code: 'vessel-too-small', severity: 'harm' });
		expect(w.warnings[0]!.action).toContain('1500 ml');
		expect(() => vacuum({ ...input, targetKpa: 0.4 })).toThrow(/ends at 0.5 kPa/);
	});
});

describe('a mould at the pour', () => {
	it('copies fill one mould after another, and no cavity twice', () => {
		const moulds = [
			{ id: 'a', cavities: 4 },
			{ id: 'b', cavities: 1 },
			{ id: 'c', cavities: 2 }
		];
		expect(spread(6, moulds).map((m) => [m.id, m.copies])).toEqual([
			['a', 4],
			['b', 1],
			['c', 1]
		]);
		expect(spread(1, moulds)).toHaveLength(1);
	});
});

describe('keys, seams, closing', () => {
	it('keys lie on the middle of the wall and do not mirror each other', () => {
		for (const round of [false, true]) {
			const { at, diameterMm } = keysFor(100, 80, 12, round);
			expect(diameterMm).toBe(6);
			expect(at.length).toBeGreaterThanOrEqual(4);
			for (const k of at) {
				if (round) expect(Math.hypot(k.xMm, k.yMm)).toBeCloseTo(44, 6);
				else expect(Math.abs(k.xMm) === 44 || Math.abs(Math.abs(k.yMm) - 34) < 1e-9).toBe(true);
			}
			// turned over about an axis, no key falls on another: the halves close one way only
			const mirrored = at.map((k) => [-k.xMm, k.yMm] as const);
			const meets = mirrored.filter(([x, y]) => at.some((k) => Math.hypot(k.xMm - x, k.yMm - y) < 1));
			expect(meets.length).toBeLessThan(at.length);
		}
	});
	it('a hinge stays, waves stay inside the wall; every closing says what too much does', () => {
		expect(seamFor('back', 12)).toMatchObject({ side: 'back', amplitudeMm: 4 });
		expect(seamFor('left', 6).amplitudeMm).toBeLessThan(3);
		for (const c of CLOSINGS) {
			const { how, little, much } = closingWords(c, 90, 6);
			expect(how.length * little.length).toBeGreaterThan(0);
			if (c !== 'nothing') expect(much).not.toBe('');
		}
		expect(closingWords('boards-bands', 130, 0).how).toContain('4 bands');
	});
	it('relief cuts go beside deep places only', () => {
		expect(
			reliefWords([
				{ place: 'the lantern', depthMm: 20 },
				{ place: 'a button', depthMm: 2 }
			])
		).toEqual(['beside the lantern, 20 mm deep']);
	});
});
