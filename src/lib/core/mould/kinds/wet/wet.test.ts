import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { resinThing, rulesFor, wetThing } from '../../../compatibility';
import { InputError } from '../../../working';
import { priorPulls } from '../../../wear';
import { planWet, waterFactor, WET_STIR_S, type WetInput } from './wet';

const badge: WetInput = {
	master: { footprint: 'rectangular', lengthMm: 60, widthMm: 40, heightMm: 20 },
	masterVolumeMl: 30,
	shape: 'box',
	clearanceMm: 10,
	coverMm: 20,
	lossPercent: 0
};

describe('a wet mould', () => {
	it('takes the box less the master, powder and water by their weights', () => {
		// 80 × 60 × 40 mm less 30 ml is 162 ml, at 1.1 g/ml 178.2 g: a third powder at two of water
		const plan = planWet({ ...badge, waterPerPowder: 2 });
		expect(plan.mix.volumeMl).toBeCloseTo(162, 9);
		expect(plan.mix.massG).toBeCloseTo(178.2, 9);
		expect(plan.powder.massG).toBeCloseTo(59.4, 9);
		expect(plan.water.massG).toBeCloseTo(118.8, 9);
	});
	it('weighs and makes up all that it mixes, for every tin and size', () => {
		fc.assert(
			fc.property(
				fc.double({ min: 0.5, max: 10, noNaN: true }),
				fc.double({ min: 1, max: 45, noNaN: true }),
				fc.double({ min: 0, max: 50, noNaN: true }),
				(waterPerPowder, waterTempC, lossPercent) => {
					const { mix, powder, water, workS, setS, netVolumeMl } = planWet({
						...badge,
						waterPerPowder,
						waterTempC,
						lossPercent
					});
					expect(powder.massG + water.massG).toBeCloseTo(mix.massG, 6);
					expect(water.massG / powder.massG).toBeCloseTo(waterPerPowder, 6);
					expect(mix.volumeMl / netVolumeMl).toBeCloseTo(1 + lossPercent / 100, 9);
					expect(setS).toBeGreaterThan(workS);
				}
			)
		);
	});
	it('sets about a minute sooner of three and a half in water 10 °C warmer', () => {
		// "a 1-minute reduction in setting time for each 10 °C" of water (a dental textbook, from memory)
		expect(210 - 210 * waterFactor(30)).toBeGreaterThan(50);
		expect(210 - 210 * waterFactor(30)).toBeLessThan(70);
		expect(waterFactor(20)).toBe(1);
	});
	it('names the water that leaves time to stir, and that one does', () => {
		const hot = planWet({ ...badge, waterTempC: 40 });
		const said = hot.warnings.find((w) => w.code === 'wet-too-fast')!;
		const coolC = Number(/water of (\d+) °C/.exec(said.action)![1]);
		const cool = planWet({ ...badge, waterTempC: coolC });
		expect(cool.workS).toBeGreaterThanOrEqual(WET_STIR_S + 30 - 1e-9);
		expect(cool.warnings.map((w) => w.code)).toEqual(['wet-shrinks']);
	});
	it('fills its master with plaster and water, or with wax', () => {
		const { cast } = planWet({ ...badge, waterPerPlaster: 0.5 });
		// both volumes make the master's; 2.76 g/ml is the mineral's
		expect(cast.powderG! / 2.76 + cast.waterG!).toBeCloseTo(30, 9);
		expect(cast.waterG! / cast.powderG!).toBeCloseTo(0.5, 12);
		expect(planWet({ ...badge, wetCast: 'wax' }).cast.massG).toBeCloseTo(27.6, 9);
	});
	it('refuses a master that fills its box, and a tin whose times do not fit', () => {
		expect(() => planWet({ ...badge, masterVolumeMl: 500 })).toThrow(InputError);
		expect(() => planWet({ ...badge, wetSetS: 60, wetWorkS: 120 })).toThrow(/check both times/);
	});
	it('is harmed by every resin, urethane foams in it, and it stands two pulls', () => {
		const said = (family: 'fast urethane' | 'epoxy') =>
			rulesFor(resinThing('r', { name: 'R', family }), wetThing)[0]!;
		expect(said('fast urethane').message).toMatch(/foams/);
		expect(said('epoxy').severity).toBe('harm');
		expect(priorPulls({ family: 'wet' })).toBe(2);
	});
});
