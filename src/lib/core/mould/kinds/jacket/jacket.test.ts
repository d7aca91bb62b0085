import { describe, expect, it } from 'vitest';
import { fillerRecord } from '../../../shelf';
import { polyester, urethane } from '../../../shot/kinds/shots.testing';
import { closingOf } from '../..';
import { mouldOf } from '../../../examples.testing';
import { shellRecipe } from './shellRecipe';
import { tackS } from './tack';

const fluff = fillerRecord.parse({
	name: 'Fluff',
	family: 'fumed silica',
	densityGPerMl: 2.2,
	bulkDensityGPerMl: 0.05,
	pasteScoopsPerB: 2,
	note: ''
});

describe('coats and shell of a jacket', () => {
	it('a coat is tacky after its working time and long before its cure, and at the gel point of Flory', () => {
		for (const [work, cure] of [
			[1800, 14_400],
			[2400, 57_600],
			[300, 900]
		] as const) {
			const at = tackS(work, cure);
			expect(at).toBeGreaterThan(work);
			expect(at).toBeLessThan(cure / 2);
			// the same curve read at that time: 1 − (1 − 0.95)^((t/tc)^n) is 1/√3 (P. J. Flory, 1953, from memory)
			const n = Math.log(Math.log(20) / Math.log(1 / 0.6)) / Math.log(cure / work);
			expect(1 - 0.05 ** ((at / cure) ** n)).toBeCloseTo(1 / Math.sqrt(3), 9);
		}
	});
	it('a shell is so many portions as hands and pot life want; they add up to it, by the resin’s own ratio', () => {
		const of = { volumeMl: 1500, faceMm2: 250_000, parts: 2 };
		const r = shellRecipe(of, urethane, fluff, 21);
		expect(r.portions).toBeGreaterThan(1);
		expect(90 + r.portion.spreadS).toBeLessThanOrEqual(0.8 * r.portion.potLifeS);
		expect(r.aG / r.bG).toBeCloseTo(100 / 90, 6);
		expect(r.portion.massG * r.portions * of.parts).toBeCloseTo(r.aG + r.bG + r.thickenerG, 6);
		// two loose scoops to one of B: its volume twice B's, each ml of it 0.05 g
		expect(r.portion.thickenerG).toBeCloseTo(((2 * r.portion.bG) / (99 / 100) / 1.0) * 0.05, 6);
		expect(shellRecipe(of, { ...urethane, potLifeS: 200 }, fluff, 21).portions).toBeGreaterThan(r.portions);
		expect(shellRecipe(of, polyester, undefined, 21).portion.catalystG).toBeGreaterThan(0);
		expect(() => shellRecipe(of, urethane, { ...fluff, pasteScoopsPerB: undefined }, 21)).toThrow(
			/try it in a small cup/
		);
		expect(() => shellRecipe(of, { ...urethane, potLifeS: 40 }, fluff, 21)).toThrow(/too quick for a shell/);
	});
	it('a printed support is poured into through its hole: one pour of the whole skin, three bands, no bolts', () => {
		const mould = mouldOf('jacket', { shellKind: 'printed' });
		expect(mould.plan.pours).toHaveLength(1);
		const brushed = mouldOf('jacket');
		expect(mould.plan.rubber.massG / brushed.plan.rubber.massG).toBeCloseTo(1, 6);
		expect(mould.plan.jacket!.shell).toMatchObject({ kind: 'printed', massG: 0, bolts: 0 });
		expect(closingOf(mould).how).toMatch(/^3 bands/);
		expect(mould.plan.readyInS).toBeLessThan(brushed.plan.readyInS);
	});
});
