import { describe, expect, it } from 'vitest';
import { MASS_G, VOLUME_ML } from '../units';
import { displacement } from '../volume';
import { correctPour, mix, type MixInput } from '.';

// worked by hand from the definitions; each line of arithmetic stands beside its check
const urethane = {
	densityAGPerMl: 1.08,
	densityBGPerMl: 0.972,
	ratio: { by: 'volume', a: 1, b: 1 }
} as const;

describe('worked examples, by hand', () => {
	it('a fluid ounce shot of an equal-volume resin', () => {
		// 29.57 ml in two halves of 14.79 ml: 15.97 g of A, 14.37 g of B
		const r = mix({ resin: urethane, target: { volumeMl: VOLUME_ML.floz } });
		expect(r.a.volumeMl).toBeCloseTo(14.787, 3);
		expect(r.a.massG).toBeCloseTo(15.97, 2);
		expect(r.b.massG).toBeCloseTo(14.373, 2);
		expect(r.total.densityGPerMl).toBeCloseTo((1.08 + 0.972) / 2, 9);
	});

	it('a pound of it', () => {
		// by weight 1.08 : 0.972 = 100 : 90
		const r = mix({ resin: urethane, target: { massG: MASS_G.lb } });
		expect(r.a.massG).toBeCloseTo((453.59237 * 100) / 190, 6);
		expect(r.b.massG).toBeCloseTo((453.59237 * 90) / 190, 6);
	});

	it('a fifth of the whole as mineral powder of 2.7 g/ml', () => {
		// 80 g of resin (100:90) and 20 g of powder: 80/1.026 + 20/2.7 = 77.97 + 7.41 = 85.38 ml
		const r = mix({
			resin: urethane,
			target: { massG: 100 },
			fillers: [{ name: 'powder', densityGPerMl: 2.7, amount: 20, per: 'total-mass-percent' }]
		});
		expect(r.fillers[0]!.massG).toBeCloseTo(20, 9);
		expect(r.total.volumeMl).toBeCloseTo(80 / 1.026 + 20 / 2.7, 6);
		expect(r.fillerVolumeFraction).toBeCloseTo(20 / 2.7 / (80 / 1.026 + 20 / 2.7), 9);
	});

	it('ten per hundred of resin is a tenth of A and B together', () => {
		const r = mix({
			resin: urethane,
			target: { massG: 110 },
			fillers: [{ name: 'x', densityGPerMl: 1, amount: 10, per: 'phr' }]
		});
		expect(r.a.massG + r.b.massG).toBeCloseTo(100, 9);
		expect(r.fillers[0]!.massG).toBeCloseTo(10, 9);
	});

	it('as much loose filler as B, by volume: the scoop of the last slush layers (common practice, no source)', () => {
		// 50 ml of B and a 50 ml scoop of 0.13 g/ml beads: 6.5 g, which take up 6.5/0.22 = 29.5 ml
		const r = mix({
			resin: urethane,
			target: { volumeMl: 100 + 6.5 / 0.22 },
			fillers: [
				{ name: 'beads', densityGPerMl: 0.22, bulkDensityGPerMl: 0.13, amount: 1, per: 'b-volume-share' }
			]
		});
		expect(r.b.volumeMl).toBeCloseTo(50, 6);
		expect(r.fillers[0]!.massG).toBeCloseTo(6.5, 6);
		expect(r.fillers[0]!.looseVolumeMl).toBeCloseTo(50, 6);
	});

	it('the classic mistake: 200 g of spilled water taken as 200 g of a 1.026 g/ml resin is 5 ml short', () => {
		const { volumeMl } = displacement({ overflowMassG: 200, waterTempC: 20 });
		const right = mix({ resin: urethane, target: { volumeMl } });
		const wrong = mix({ resin: urethane, target: { massG: 200 } });
		expect(right.total.volumeMl - wrong.total.volumeMl).toBeCloseTo(200 / 0.99821 - 200 / 1.026, 2);
	});

	it('polyester at 2 ml to 100 g: 40 drops of 20 to the millilitre', () => {
		// 2 ml of 1.12 g/ml is 2.24 g, 2.24 % by mass
		const r = mix({
			resin: { densityAGPerMl: 1.12 },
			target: { massG: 102.24 },
			catalyst: { percent: 2.24, densityGPerMl: 1.12, dropsPerMl: 20 }
		});
		expect(r.catalyst).toMatchObject({ drops: 40 });
		expect(r.catalyst!.volumeMl).toBeCloseTo(2, 9);
		expect(r.catalyst!.mlPer100G).toBeCloseTo(2, 9);
		expect(r.a.massG).toBeCloseTo(100, 9);
	});

	it('a tenth too much B at 100:90 wants a tenth more A', () => {
		const c = correctPour({ ratio: { by: 'weight', a: 100, b: 90 }, pouredAG: 100, pouredBG: 99 });
		expect(c.addA).toBeCloseTo(10, 9);
		expect(c.addB).toBeCloseTo(0, 9);
		expect(c.total).toBeCloseTo(209, 9);
	});

	it('when the cup is too small, what is taken out of the over-poured part makes the rest just fit', () => {
		const c = correctPour({
			ratio: { by: 'weight', a: 1, b: 1 },
			pouredAG: 300,
			pouredBG: 100,
			capacityG: 500
		});
		const [a, b] = [300 - c.takeOutA, 100 - c.takeOutB];
		expect(c.discard).toBeCloseTo(100, 9);
		expect(Math.max(a, b) * 2).toBeCloseTo(500, 9);
	});
});

describe('warnings say what to do', () => {
	const warningsOf = (over: Partial<MixInput>) =>
		mix({ resin: urethane, target: { massG: 100 }, ...over }).warnings;
	it('a shot that the scale can weigh has none', () => {
		expect(warningsOf({ target: { massG: 500 } })).toEqual([]);
	});
	it('a small one on a coarse scale asks for a finer scale', () => {
		expect(warningsOf({ target: { massG: 20 } })[0]).toMatchObject({ code: 'scale-too-coarse' });
		expect(warningsOf({ target: { massG: 20 }, scaleResolutionG: 0.1 })).toEqual([]);
	});
	it('a few grams of catalyst on a gram scale ask for drops', () => {
		const r = mix({ resin: { densityAGPerMl: 1.1 }, target: { massG: 100 }, catalyst: { percent: 1 } });
		expect(r.warnings[0]!.action).toMatch(/drops or syringe/);
	});
});
