import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { planShot, togetherPotLifeS, wholeShares } from '.';
import { context, inputs } from './kinds/shots.testing';

describe('colours poured together', () => {
	const cups = [
		{ name: 'grey', sharePercent: 70 },
		{ name: 'white', sharePercent: 30, startTempC: 15 }
	];
	it('every cup its share and temperature; the slower one is combined first', () => {
		const planned = planShot(inputs({ cups }), context);
		const batch = planned.shot.batches[0]!;
		expect(batch.cups!.map((c) => c.name)).toEqual(['white', 'grey']);
		const all = batch.cups!.reduce((sum, c) => sum + c.massG, 0);
		expect(all).toBeCloseTo(batch.massG, 6);
		expect(batch.cups![0]!.massG / all).toBeCloseTo(0.3, 9);
		expect(batch.cups![0]!.startTempC).toBe(15);
		expect(batch.potLifeS).toBeCloseTo(togetherPotLifeS(batch.cups!, 45), 9);
	});
	it('the first cup that is too thick ends the pour (by hand)', () => {
		expect(togetherPotLifeS([{ potLifeS: 200 }, { potLifeS: 130 }], 45)).toBe(175);
		expect(togetherPotLifeS([{ potLifeS: 150 }, { potLifeS: 130 }], 45)).toBe(150);
	});
	it('shares stay a whole when a colour comes or goes (by hand)', () => {
		expect(wholeShares([50, 50, 50])).toEqual([33.3, 33.3, 33.3]);
		expect(wholeShares([70, 50])).toEqual([58.3, 41.7]);
		expect(wholeShares([60, 20])).toEqual([75, 25]);
		expect(wholeShares([undefined, NaN])).toEqual([50, 50]);
		expect(wholeShares([undefined, 40, 40])).toEqual([0, 50, 50]);
		fc.assert(
			fc.property(
				fc.array(fc.double({ min: 1, max: 100, noNaN: true }), { minLength: 1, maxLength: 6 }),
				(list) => {
					const sum = wholeShares(list).reduce((a, b) => a + b, 0);
					// a tenth each at most: the planner takes shares that make 100 ± 0.5
					expect(Math.abs(sum - 100)).toBeLessThanOrEqual(0.05 * list.length + 1e-9);
				}
			)
		);
	});
	it('cups that are warmer from the start than they are poured are refused', () => {
		const two = {
			cups: [
				{ name: 'a', sharePercent: 50, startTempC: 28 },
				{ name: 'b', sharePercent: 50 }
			]
		};
		expect(() => planShot(inputs({ ...two, pourTempC: 21 }), context)).toThrow(/The cups start at 21\.0 °C/);
		expect(() => planShot(inputs({ ...two, pourTempC: 30 }), context)).not.toThrow();
	});
	it('shares that make no whole are refused with their sum', () => {
		expect(() => planShot(inputs({ cups: [{ name: 'a', sharePercent: 60 }] }), context)).toThrow(
			/make 60.0 %/
		);
	});
});

describe('a colour that lengthens the cure', () => {
	const slow = { id: 'dark', name: 'Dark', lengtheningPercent: 33, colours: [] };
	const at = (recipeId: string, more: object = {}) =>
		planShot(inputs({ kind: 'solid', recipeId, ...more }), { ...context, recipes: [slow] });
	const cupsOf = (ids: string[]) =>
		ids.map((recipeId, i) => ({ name: `c${i}`, recipeId, sharePercent: 100 / ids.length }));

	it('is heeded by the pot life, the gel and the demould of a shot, as where it is mixed', () => {
		const [plain, dark] = [at(''), at('dark')].map((p) => p.shot);
		// every time of the reaction grows by it; a cup of this heat hardly warms meanwhile
		expect(dark!.batches[0]!.potLifeS / plain!.batches[0]!.potLifeS).toBeCloseTo(1.33, 1);
		expect(dark!.batches[0]!.gelTimeS).toBeGreaterThan(plain!.batches[0]!.gelTimeS * 1.2);
		expect(dark!.holdUntilS).toBeGreaterThan(plain!.holdUntilS * 1.15);
	});
	it('of several cups each has its own, and the part waits for the slowest', () => {
		const two = at('', { cups: cupsOf(['', 'dark']) }).shot;
		const [a, b] = two.batches[0]!.cups!.map((c) => c.potLifeS).sort((x, y) => x - y);
		expect(b! / a!).toBeGreaterThan(1.2);
		expect(two.holdUntilS).toBeCloseTo(at('dark').shot.holdUntilS, 6);
	});
	it('in layers only the layer that is coloured is slower in its cup', () => {
		const cold = (recipeId: string) =>
			planShot(inputs({ kind: 'cold', fillerId: 'f', fillerPercent: 60, faceMm: 1.5, recipeId }), {
				...context,
				recipes: [slow],
				filler: { name: 'Bronze', densityGPerMl: 8.7, grainMm: 0.04 }
			}).shot.batches[0]!.layers!.map((l) => l.potLifeS);
		const [plain, dark] = [cold(''), cold('dark')];
		expect(dark[0]).toBeCloseTo(plain[0]!, 6);
		expect(dark[1]! / plain[1]!).toBeGreaterThan(1.2);
	});
});
