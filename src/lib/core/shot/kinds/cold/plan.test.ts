import { describe, expect, it } from 'vitest';
import { DUST_G_PER_M2, layerAmount, planShot } from '../..';
import { bronze, context, inputs } from '../shots.testing';

describe('metal cold casts', () => {
	const cold = inputs({ kind: 'cold', fillerId: 'f', fillerPercent: 60, faceMm: 1.5 });
	const planned = planShot(cold, { ...context, filler: bronze });
	it('dust by area, face and backing together fill the cavity (by hand)', () => {
		expect(planned.dust!.massG).toBeCloseTo((DUST_G_PER_M2 * 9000) / 1e6, 9);
		const [face, back] = planned.shot.batches[0]!.layers!;
		expect(layerAmount(face!).volumeMl).toBeCloseTo((9000 * 1.5) / 1000, 6);
		const dustMl = planned.dust!.massG / 8.7;
		expect(layerAmount(face!).volumeMl + layerAmount(back!).volumeMl + dustMl).toBeCloseTo(96, 6);
		expect(face!.fillers![0]!.massG / layerAmount(face!).massG).toBeCloseTo(0.6, 9);
		expect(back!.fillers ?? []).toHaveLength(0);
	});
	it('foretells that the powder sinks, and that a pale backing shines through', () => {
		expect(planned.shot.warnings.map((w) => w.code)).toEqual(
			expect.arrayContaining(['settles', 'pale-backing', 'thin-skin'])
		);
	});
	it('wants a metal, and a face that goes in', () => {
		expect(() => planShot(inputs({ kind: 'cold' }), context)).toThrow(/Choose|powder/);
		expect(() =>
			planShot(inputs({ kind: 'cold', fillerId: 'f', fillerPercent: 60, faceMm: 30 }), {
				...context,
				filler: bronze
			})
		).toThrow(/thinner face/);
	});
	it('sinks no deeper than its layer', () => {
		const thin = planShot(inputs({ kind: 'cold', fillerId: 'f', fillerPercent: 60, faceMm: 0.3 }), {
			...context,
			filler: bronze
		});
		const said = thin.shot.warnings.find((w) => w.code === 'settles')!.message;
		expect(said).toContain('through the whole face of 0.3');
	});
	it('one pour by hand: 96 ml less dust, 12 g of spare bronze of 8.7 g/ml in resin of 1.045 g/ml', () => {
		const one = planShot(
			inputs({ kind: 'cold', fillerId: 'f', coldSchool: 'one-pour', sparePowderG: 12 }),
			{ ...context, filler: bronze },
			false
		);
		const [cup, ...more] = one.shot.batches[0]!.layers!;
		expect(more).toEqual([]);
		const dustMl = one.dust!.massG / 8.7;
		expect(cup!.fillers![0]!.massG).toBeCloseTo(12, 6);
		expect(cup!.a.massG + cup!.b.massG).toBeCloseTo((96 - dustMl - 12 / 8.7) * 1.045, 4);
		expect(one.shot.warnings.some((w) => w.code === 'rolls-dust')).toBe(false);
		expect(() =>
			planShot(inputs({ kind: 'cold', fillerId: 'f', coldSchool: 'one-pour', sparePowderG: 900 }), {
				...context,
				filler: bronze
			})
		).toThrow(/So much powder takes/);
	});
});

it('the smallest cup that the scale weighs decides: half a step over A and over B, against the tolerance', () => {
	const of = (scaleResolutionG: number) =>
		planShot(inputs({ kind: 'cold', fillerId: 'f', fillerPercent: 60, faceMm: 1, areaMm2: 6000 }), {
			...context,
			filler: bronze,
			settings: { ...context.settings, scaleResolutionG }
		}).shot;
	const fine = of(0.01).batches[0]!;
	expect(of(0.01).warnings.map((w) => w.code)).not.toContain('smallest-cup');
	// far too coarse: nobody mixes five times too much, it is said instead
	expect(of(1).warnings.find((w) => w.code === 'smallest-cup')!.severity).toBe('harm');
	expect(of(1).batches[0]!.layers![0]!.a.massG).toBeCloseTo(fine.layers![0]!.a.massG, 9);
	const coarse = of(0.1).batches[0]!;
	expect(of(0.1).warnings.map((w) => w.code)).toContain('smallest-cup');
	const [a, b] = [coarse.layers![0]!.a.massG, coarse.layers![0]!.b.massG];
	// 100 · 0.05 g · (1/A + 1/B) is the tolerance of 2 % (by hand)
	expect(5 * (1 / a + 1 / b)).toBeCloseTo(2, 6);
	expect(a).toBeGreaterThan(fine.layers![0]!.a.massG);
	// what is poured stays; what is over is lost
	expect(coarse.pouredMl).toBeCloseTo(fine.pouredMl, 9);
	expect(coarse.lossMl).toBeGreaterThan(fine.lossMl);
});

it('copies that are laid together share a cup: three are weighed where one is not', () => {
	const of = (copies: number) =>
		planShot(
			inputs({
				kind: 'cold',
				fillerId: 'f',
				fillerPercent: 60,
				faceMm: 1,
				areaMm2: 6000,
				copies,
				hands: copies
			}),
			{ ...context, filler: bronze, cavities: 3, settings: { ...context.settings, scaleResolutionG: 0.1 } }
		).shot.warnings.map((w) => w.code);
	expect(of(1)).toContain('smallest-cup');
	expect(of(3)).not.toContain('smallest-cup');
});
