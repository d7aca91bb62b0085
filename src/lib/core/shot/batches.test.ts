import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { castAreaMm2, keptLayer, planShot, solidShot, type SolidShotInput } from '.';
import { WORKSHOP_DEFAULTS } from '../workshop';
import { context, inputs, polyester, urethane } from './kinds/shots.testing';

describe('area of an earlier cast', () => {
	it('44 g of 1.1 g/ml at 4 mm covered 100 cm² (by hand)', () => {
		expect(castAreaMm2(44, 1.1, 4)).toBeCloseTo(10_000, 9);
		expect(() => castAreaMm2(44, 0, 4)).toThrow(/castAreaMm2/);
	});
});

describe('batches against an exhaustive search', () => {
	const base = (x: { copies: number; moulds: number; potLifeS: number; cupMl: number; scaleG: number }) =>
		({
			cavityVolumeMl: 40,
			loss: { by: 'percent', percent: 10 },
			copies: x.copies,
			cavitiesAtOnce: x.moulds,
			resin: { densityAGPerMl: 1.1, densityBGPerMl: 0.99, ratio: { by: 'weight', a: 100, b: 90 } },
			cure: { potLifeS: x.potLifeS, demouldS: 6 * x.potLifeS, character: 'quick' },
			viscosityMpaS: 120,
			where: { section: { shape: 'slab' as const, thicknessMm: 6 }, mouldWallMm: 12 },
			steps: [
				{ name: 'Mix', durationS: 40 },
				{ name: 'Pour', durationS: 15, per: 'copy' }
			],
			startTempC: 22,
			mouldTempC: 22,
			roomTempC: 22,
			cupMl: x.cupMl,
			scaleCapacityG: x.scaleG
		}) satisfies SolidShotInput;
	it('the fewest cups that hold every limit, for every small case', () => {
		fc.assert(
			fc.property(
				fc.record({
					copies: fc.integer({ min: 1, max: 7 }),
					moulds: fc.integer({ min: 1, max: 5 }),
					potLifeS: fc.integer({ min: 90, max: 300 }),
					cupMl: fc.integer({ min: 60, max: 400 }),
					scaleG: fc.integer({ min: 50, max: 300 })
				}),
				(x) => {
					const shot = solidShot(base(x));
					// every size on its own, without the planner's search
					const may = (n: number) => {
						const one = solidShot({
							...base({ ...x, copies: n, moulds: n }),
							cupMl: undefined,
							scaleCapacityG: undefined,
							potCopies: undefined
						}).batches[0]!;
						if (one.copies !== n || !one.fits) return false;
						return n === 1 || (one.volumeMl <= 0.8 * x.cupMl && one.massG <= x.scaleG);
					};
					let most = 0;
					for (let n = 1; n <= Math.min(x.copies, x.moulds); n++) if (may(n)) most = n;
					expect(shot.largestBatch).toBe(most);
					expect(shot.batches).toHaveLength(Math.ceil(x.copies / Math.max(1, most)));
				}
			),
			{ numRuns: 60 }
		);
	});
});

it('air from which the workshop stops is said at planning, for urethane alone', () => {
	const at = (relativeHumidity: number, stopHumidityPercent: number, resin = urethane) =>
		planShot(inputs({ kind: 'solid', relativeHumidity }), {
			...context,
			resin,
			settings: { ...WORKSHOP_DEFAULTS, stopHumidityPercent }
		}).shot.warnings.map((w) => w.code);
	expect(at(45, 50)).not.toContain('damp-air');
	expect(at(45, 40)).toContain('damp-air');
	expect(at(70, 50)).toContain('damp-air');
	expect(at(70, 50, polyester)).not.toContain('damp-air');
});

describe('the share of catalyst belongs to the shot', () => {
	const clear = { ...context, resin: polyester };
	const of = (catalystPercent?: number) =>
		planShot(inputs({ kind: 'solid', ...(catalystPercent === undefined ? {} : { catalystPercent }) }), clear)
			.shot;
	it('is weighed out by hand, quickens pot life and demould, and the record stands where nothing is typed', () => {
		const [one, two] = [of(1), of(2)];
		const cup = two.batches[0]!;
		expect(cup.catalyst!.massG).toBeCloseTo(0.02 * cup.a.massG, 6);
		expect(two.batches[0]!.potLifeS).toBeLessThan(one.batches[0]!.potLifeS * 0.75);
		expect(two.demouldS).toBeLessThan(one.demouldS);
		expect(of().batches[0]!.potLifeS).toBeCloseTo(one.batches[0]!.potLifeS, 9);
	});
	it('says nothing to a resin of two parts', () => {
		const plain = planShot(inputs({ kind: 'solid' }), context).shot.demouldS;
		expect(planShot(inputs({ kind: 'solid', catalystPercent: 3 }), context).shot.demouldS).toBe(plain);
	});
	it('a thick lump of it is told that it may crack by its thickest place', () => {
		const lump = planShot(inputs({ kind: 'solid', catalystPercent: 1.5, thickestMm: 80 }), clear).shot
			.warnings;
		expect(lump.map((w) => w.code)).toContain('may-crack');
		const flat = planShot(inputs({ kind: 'solid', catalystPercent: 1.5, thickestMm: 12 }), clear).shot
			.warnings;
		expect(flat.map((w) => w.code)).not.toContain('may-crack');
	});
});

it('a layer as the version before kept it, its clocks from the first pour, is read as one of today', () => {
	const { pouredS, ...today } = planShot(inputs({ kind: 'rotocast', wallMm: 3, layers: 3 }), context).shot
		.batches[0]!.layers![2]!;
	expect(pouredS).toBeGreaterThan(today.gelS);
	const kept = { ...today, startS: pouredS! };
	for (const time of ['lockS', 'gelS', 'recoatFromS', 'recoatUntilS'] as const) kept[time] += pouredS!;
	const read = keptLayer(kept);
	expect(read.pouredS).toBe(pouredS);
	expect(read).not.toHaveProperty('startS');
	for (const time of ['lockS', 'gelS', 'recoatFromS', 'recoatUntilS'] as const)
		expect(read[time]).toBeCloseTo(today[time], 9);
	// and one of today stays as it is
	expect(keptLayer({ ...today, pouredS })).toEqual({ ...today, pouredS });
});
