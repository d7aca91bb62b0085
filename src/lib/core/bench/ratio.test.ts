import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { lessonPlan } from '../practice';
import { WORKSHOP_DEFAULTS } from '../workshop';
import { type PourPlan } from '../plan/pourPlan';
import { holdFloorKpa } from '../plan/marks';
import { benchSteps, offRatio, ratioNow, takenG, targetOf } from '.';

const plan: PourPlan = {
	...lessonPlan(WORKSHOP_DEFAULTS),
	a: { massG: 100, volumeMl: 92 },
	b: { massG: 90, volumeMl: 92 },
	measuring: 'two-cups',
	tolerancePercent: 2
};
const step = (id: string, p = plan) => benchSteps(p).find((s) => s.id === id)!;

describe('what should be in the next cup', () => {
	it('A follows an over-poured B at once: 99 g of 90 g wants 110 g (by hand)', () => {
		const target = targetOf(plan, step('measure-a'), { weighedG: { 'measure-b': 99 } })!;
		expect(target.massG).toBeCloseTo(110, 9);
		expect(target.volumeMl).toBeCloseTo(92 * 1.1, 9);
		expect(target.factor).toBeCloseTo(1.1, 9);
	});
	it('by marks the mark moves with it: a tenth more A stands a tenth higher', () => {
		const marks: PourPlan = { ...plan, measuring: 'marks', cupDiameterMm: 50 };
		const planned = targetOf(marks, step('measure-a', marks), { weighedG: {} })!;
		// 92 ml in a straight cup 50 mm wide (by hand: V = π·r²·h)
		expect(planned.markMm).toBeCloseTo(92_000 / (Math.PI * 25 ** 2), 9);
		const over = targetOf(marks, step('measure-a', marks), { weighedG: { 'measure-b': 99 } })!;
		expect(over.markMm! / planned.markMm!).toBeCloseTo(1.1, 9);
		expect(over.volumeMl / planned.volumeMl).toBeCloseTo(over.markMm! / planned.markMm!, 9);
	});
	it('is the plan where nothing was weighed, and nothing where nothing is measured', () => {
		expect(targetOf(plan, step('measure-a'), { weighedG: {} })!.massG).toBe(100);
		expect(targetOf(plan, step('look'), { weighedG: {} })).toBeUndefined();
	});
});

describe('the ratio as it stands', () => {
	const weighed = (aG: number, bG: number) => ({ weighedG: { 'measure-a': aG, 'measure-b': bG } });
	it('a tenth too much A is said as such, with the B that mends it', () => {
		const now = ratioNow(plan, step('combine'), weighed(110, 90))!;
		expect(now.errorPercent).toBeCloseTo(10, 9);
		expect(now.mend).toMatchObject({ part: 'B', stepId: 'measure-b' });
		expect(now.mend!.addG).toBeCloseTo(9, 9);
		expect(now.words).toMatch(/10\.0 % too much A/);
	});
	it('what mends it mends it, and only adds', () => {
		fc.assert(
			fc.property(
				fc.double({ min: 1, max: 800, noNaN: true }),
				fc.double({ min: 1, max: 800, noNaN: true }),
				(aG, bG) => {
					const now = ratioNow(plan, step('combine'), weighed(aG, bG))!;
					if (now.within) return;
					expect(now.mend!.addG).toBeGreaterThan(0);
					const state = { weighedG: { ...weighed(aG, bG).weighedG, [now.mend!.stepId]: now.mend!.newG } };
					expect(offRatio(plan, step('combine'), state)).toBeUndefined();
				}
			)
		);
	});
	it('stops the combining past tolerance, lets it pass within; unweighed nobody can say', () => {
		expect(offRatio(plan, step('combine'), weighed(103, 90))?.within).toBe(false);
		expect(offRatio(plan, step('combine'), weighed(101.5, 90))).toBeUndefined();
		expect(offRatio(plan, step('combine'), { weighedG: {} })).toBeUndefined();
	});
	it('both into one cup: the weighing of A is stopped instead, since the clock runs', () => {
		const one: PourPlan = { ...plan, measuring: 'one-cup' };
		expect(offRatio(one, step('measure-a', one), weighed(120, 90))?.mend?.part).toBe('B');
	});
	it('with a B of next to nothing the words hold no infinity', () => {
		expect(ratioNow(plan, step('combine'), weighed(100, 0))!.words).toMatch(/far too much A/);
	});
});

describe('what a pour took', () => {
	it('as weighed where it was, as planned where it was not, nothing before it is combined', () => {
		const weighedG = { 'measure-b': 93 };
		expect(takenG(plan, { doneAtMs: {}, weighedG })).toMatchObject({ aG: 0, bG: 0 });
		expect(takenG(plan, { doneAtMs: { combine: 1 }, weighedG })).toMatchObject({ aG: 100, bG: 93 });
	});
	it('cup by cup of what is built up in layers', () => {
		const layer = {
			a: { massG: 10, volumeMl: 9 },
			b: { massG: 9, volumeMl: 9 },
			thicknessMm: 1,
			potLifeS: 120,
			lockS: 90,
			gelS: 150,
			recoatFromS: 150,
			recoatUntilS: 400,
			serves: 'everything'
		};
		const layered: PourPlan = { ...plan, layers: [layer, layer, layer] };
		expect(takenG(layered, { doneAtMs: { combine: 1, 'combine-1': 2 }, weighedG: {} })).toMatchObject({
			aG: 20,
			bG: 18
		});
	});
});

describe('the floor of a hold', () => {
	it('is said in the step as it is held against (a default of ours: 95 % of the target)', () => {
		expect(holdFloorKpa(300)).toBeCloseTo(285, 9);
		const pot = { name: 'Pot', targetGaugeKpa: 300, ratedGaugeKpa: 400, bubbleDiameterRatio: 0.63 };
		expect(step('release', { ...plan, pot }).detail.replace(/\u202f/g, ' ')).toMatch(/Stay above 285 kPa/);
	});
	it('is never over the target, and so never over the rating', () => {
		fc.assert(
			fc.property(fc.double({ min: 1, max: 2000, noNaN: true }), (targetKpa) => {
				expect(holdFloorKpa(targetKpa)).toBeLessThan(targetKpa);
				expect(holdFloorKpa(targetKpa)).toBeGreaterThan(0);
			})
		);
	});
});
