import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { VOLUME_ML } from '../units';
import { InputError } from '../working';
import {
	bPerAByVolume,
	bPerAByWeight,
	catalystAmount,
	catalystInput,
	checkRatio,
	correctPour,
	cupLossMl,
	cupMarkErrorPercent,
	mix,
	mixInput,
	squareCupDiameterMm,
	viscosityFactor,
	weighingErrorPercent,
	type MixInput
} from '.';

describe('ratio by weight and by volume', () => {
	it('1:1 by volume and 100:88 by weight means ρB/ρA = 0.88 (common practice, no source)', () => {
		expect(bPerAByWeight({ by: 'volume', a: 1, b: 1 }, 1, 0.88)).toBeCloseTo(0.88, 12);
		expect(bPerAByVolume({ by: 'weight', a: 100, b: 88 }, 1, 0.88)).toBeCloseTo(1, 12);
	});

	it('agreement within the rounding of sheets passes, contradiction is reported with its sum', () => {
		expect(checkRatio({ a: 100, b: 90 }, { a: 1, b: 1 }, 1.1, 0.99).ok).toBe(true);
		const bad = checkRatio({ a: 100, b: 50 }, { a: 1, b: 1 }, 1.1, 0.99);
		expect(bad.ok).toBe(false);
		expect(bad.sum).toContain('100:90.0');
		expect(bad.sum).toContain('100:50.0');
	});
});

const resin = { densityAGPerMl: 1.1, densityBGPerMl: 0.99, ratio: { by: 'weight', a: 100, b: 90 } } as const;

describe('mix', () => {
	it('400 g of A goes with 360 g of B at 100:90 (common practice, no source)', () => {
		const result = mix({ resin, target: { massG: 760 } });
		expect(result.a.massG).toBeCloseTo(400, 9);
		expect(result.b.massG).toBeCloseTo(360, 9);
	});

	const arbitrary = fc.record({
		densityA: fc.double({ min: 0.5, max: 3, noNaN: true }),
		densityB: fc.double({ min: 0.5, max: 3, noNaN: true }),
		b: fc.double({ min: 1, max: 500, noNaN: true }),
		by: fc.constantFrom('weight' as const, 'volume' as const),
		volumeMl: fc.double({ min: 1, max: 50_000, noNaN: true }),
		fillers: fc.array(
			fc.record({
				densityGPerMl: fc.double({ min: 0.15, max: 8, noNaN: true }),
				bulkDensityGPerMl: fc.double({ min: 0.05, max: 3, noNaN: true }),
				amount: fc.double({ min: 0, max: 20, noNaN: true }),
				per: fc.constantFrom('phr' as const, 'total-mass-percent' as const, 'b-volume-share' as const)
			}),
			{ maxLength: 3 }
		)
	});

	it('masses and volumes add up to the whole, the volume wanted comes out, the ratio is kept', () => {
		fc.assert(
			fc.property(arbitrary, (x) => {
				const input: MixInput = {
					resin: {
						densityAGPerMl: x.densityA,
						densityBGPerMl: x.densityB,
						ratio: { by: x.by, a: 100, b: x.b }
					},
					target: { volumeMl: x.volumeMl },
					fillers: x.fillers.map((f, i) => ({ ...f, name: `filler ${i}` }))
				};
				const r = mix(input);
				const parts = [r.a, r.b, ...r.fillers];
				const mass = parts.reduce((sum, p) => sum + p.massG, 0);
				const volume = parts.reduce((sum, p) => sum + p.volumeMl, 0);
				expect(mass / r.total.massG).toBeCloseTo(1, 9);
				expect(volume / x.volumeMl).toBeCloseTo(1, 9);
				const share = x.by === 'weight' ? r.b.massG / r.a.massG : r.b.volumeMl / r.a.volumeMl;
				expect(share / (x.b / 100)).toBeCloseTo(1, 9);
				x.fillers.forEach((f, i) => {
					const out = r.fillers[i]!;
					if (f.per === 'total-mass-percent')
						expect(out.massG / r.total.massG).toBeCloseTo(f.amount / 100, 9);
					if (f.per === 'phr') expect(out.massG).toBeCloseTo(((r.a.massG + r.b.massG) * f.amount) / 100, 6);
					if (f.per === 'b-volume-share')
						expect(out.massG / f.bulkDensityGPerMl / r.b.volumeMl).toBeCloseTo(f.amount, 6);
				});
			})
		);
	});

	it('a tenth by weight of light spheres is a third to nearly half of the volume (common practice, no source)', () => {
		const share = (densityGPerMl: number) =>
			mix({
				resin,
				target: { massG: 100 },
				fillers: [{ densityGPerMl, amount: 10, per: 'total-mass-percent' }]
			}).fillerVolumeFraction;
		expect(share(0.25)).toBeGreaterThan(0.3);
		expect(share(0.15)).toBeLessThan(0.5);
	});

	it('a scooped filler takes its loose density for mass and its solid one for volume', () => {
		const r = mix({
			resin,
			target: { massG: 200 },
			fillers: [{ densityGPerMl: 2.4, bulkDensityGPerMl: 0.6, amount: 1, per: 'b-volume-share' }]
		});
		expect(r.fillers[0]!.massG).toBeCloseTo(r.b.volumeMl * 0.6, 9);
		expect(r.fillers[0]!.volumeMl).toBeCloseTo((r.b.volumeMl * 0.6) / 2.4, 9);
	});

	it('a catalysed resin needs no B', () => {
		const r = mix({
			resin: { densityAGPerMl: 1.12, ratio: { by: 'weight', a: 100, b: 0 } },
			target: { massG: 102 },
			catalyst: { percent: 2 }
		});
		expect(r.a.massG).toBeCloseTo(100, 9);
		expect(r.b.massG).toBe(0);
		expect(r.catalyst!.massG).toBeCloseTo(2, 9);
	});

	it('past the packing limit it says so and gives no factor', () => {
		const r = mix({
			resin,
			target: { massG: 100 },
			fillers: [{ densityGPerMl: 0.2, amount: 60, per: 'phr' }]
		});
		expect(r.viscosityFactor).toBeNull();
		expect(r.warnings.map((w) => w.code)).toContain('too-much-filler');
	});

	const refused: [string, unknown, RegExp][] = [
		['no ratio and no catalyst', { resin: { densityAGPerMl: 1 }, target: { massG: 5 } }, /ratio of A to B/],
		[
			'a B without a density',
			{ resin: { densityAGPerMl: 1, ratio: { by: 'weight', a: 1, b: 1 } }, target: { massG: 5 } },
			/density of B/
		],
		[
			'a scoop without a loose density',
			{ resin, target: { massG: 5 }, fillers: [{ densityGPerMl: 1, amount: 1, per: 'b-volume-share' }] },
			/loose density/
		],
		[
			'nothing but filler',
			{ resin, target: { massG: 5 }, fillers: [{ densityGPerMl: 1, amount: 99, per: 'total-mass-percent' }] },
			/at most 95 %/
		]
	];
	it.each(refused)('refuses %s', (_name, input, message) => {
		expect(() => mix(input as MixInput)).toThrow(InputError);
		expect(() => mix(input as MixInput)).toThrow(message);
	});

	it('refuses numbers that are none', () => {
		for (const massG of [NaN, Infinity, -1, 0, '5', null]) {
			expect(mixInput.safeParse({ resin, target: { massG } }).success).toBe(false);
		}
	});
});

describe('catalyst', () => {
	const mekp = catalystInput.parse({ percent: 2.24, densityGPerMl: 1.12 });
	it('1 ml to 50 g is called 2 % and is 2.2–2.3 % by mass (common practice, no source)', () => {
		const amount = catalystAmount(50, 1.12, mekp);
		expect(amount.volumeMl).toBeCloseTo(1, 9);
		expect(amount.mlPer100G).toBeCloseTo(2, 9);
	});

	it('10 drops to a US fluid ounce is about 1.5 ml to 100 g at 20 drops a millilitre', () => {
		const ounceG = VOLUME_ML.floz * 1.12;
		const amount = catalystAmount(ounceG, 1.12, { ...mekp, percent: (100 * 0.5 * 1.12) / ounceG });
		expect(amount.drops).toBe(10);
		expect(amount.dropsPerFlOz).toBeCloseTo(10, 9);
	});

	it('a dropper that nobody counted gives a range, and the trade’s ten to an ounce lie in it', () => {
		// 1 ml to 100 ml of an ounce: ten drops in the trade (common practice, no source), six of a coarse dropper
		const ounceG = VOLUME_ML.floz * 1.12;
		const amount = catalystAmount(ounceG, 1.12, { ...mekp, percent: 1 });
		expect(amount.drops).toBeLessThan(10);
		expect(amount.dropsMost).toBeGreaterThanOrEqual(10);
		expect(catalystAmount(ounceG, 1.12, { ...mekp, percent: 1, dropsPerMl: 25 })).not.toHaveProperty(
			'dropsMost'
		);
	});
});

describe('viscosity with filler', () => {
	it('begins with Einstein’s slope of 2.5 (Ann. Phys. 19 (1906) 289, corrected 1911)', () => {
		const h = 1e-6;
		expect((viscosityFactor(h)! - 1) / h).toBeCloseTo(2.5, 3);
	});
	it('is the closed form of Krieger & Dougherty at half the packing limit', () => {
		expect(viscosityFactor(0.315)!).toBeCloseTo(2 ** (2.5 * 0.63), 10);
	});
	it('rises without end towards the limit', () => {
		expect(viscosityFactor(0.629)!).toBeGreaterThan(1000);
		expect(viscosityFactor(0.63)).toBeUndefined();
		expect(() => viscosityFactor(1.2)).toThrow(/viscosityFactor/);
	});
});

describe('errors of measuring and loss', () => {
	it('a gram scale on 20 g + 18 g is five per cent out at worst, by hand', () => {
		expect(weighingErrorPercent(20, 18, 1)).toBeCloseTo(100 * 0.5 * (1 / 20 + 1 / 18), 12);
	});
	it('a millimetre on a cup 60 mm wide is 2.83 ml, by hand', () => {
		expect(cupMarkErrorPercent(100, 100, 60)).toBeCloseTo((2 * 100 * 2.82743) / 100, 4);
	});
	it('a cup as tall as wide holds its volume', () => {
		const d = squareCupDiameterMm(200);
		expect((Math.PI * d ** 3) / 4 / 1000).toBeCloseTo(200, 9);
	});
	it('small shots lose the larger share, thicker resin loses more', () => {
		expect(cupLossMl(20, 100) / 20).toBeGreaterThan(cupLossMl(500, 100) / 500);
		expect(cupLossMl(100, 400)).toBeCloseTo(2 * cupLossMl(100, 100), 9);
	});
});

describe('after an over-pour', () => {
	it('the other part is raised to match', () => {
		const c = correctPour({ ratio: { by: 'weight', a: 100, b: 90 }, pouredAG: 110, pouredBG: 90 });
		expect(c).toMatchObject({ unit: 'g', discard: 0 });
		expect(c.addA).toBeCloseTo(0, 9);
		expect(c.addB).toBeCloseTo(9, 9);
		expect(c.total).toBeCloseTo(209, 9);
	});
	it('past the cup it says how much is too much', () => {
		const c = correctPour({ ratio: { by: 'volume', a: 1, b: 1 }, pouredAMl: 120, capacityMl: 200 });
		expect(c.discard).toBeCloseTo(40, 9);
		expect(c.takeOutA).toBeCloseTo(20, 9);
	});
	it('keeps the ratio and never takes anything back, whatever was poured', () => {
		const positive = fc.double({ min: 0.1, max: 1000, noNaN: true });
		fc.assert(
			fc.property(positive, positive, positive, positive, (a, b, pouredAG, pouredBG) => {
				const c = correctPour({ ratio: { by: 'weight', a, b }, pouredAG, pouredBG });
				expect(c.addA).toBeGreaterThanOrEqual(-1e-9);
				expect(c.addB).toBeGreaterThanOrEqual(-1e-9);
				expect((pouredAG + c.addA) / (pouredBG + c.addB) / (a / b)).toBeCloseTo(1, 9);
				expect(c.total).toBeCloseTo(pouredAG + c.addA + pouredBG + c.addB, 6);
			})
		);
	});
	it('amounts of the other kind, or none, are refused', () => {
		expect(() => correctPour({ ratio: { by: 'weight', a: 1, b: 1 }, pouredAMl: 5 })).toThrow(/grams/);
		expect(() => correctPour({ ratio: { by: 'weight', a: 1, b: 1 } })).toThrow(/poured already/);
	});
});
