import { describe, expect, it } from 'vitest';
import { layerAmount, planShot, standingCoatMm } from '../..';
import { bronze, context, inputs, silica } from '../shots.testing';

describe('brushed coats', () => {
	it('what stays up is τy/(ρ·g): 60 Pa at 1.1 g/ml is 5.56 mm (by hand)', () => {
		expect(standingCoatMm(60, 1.1)).toBeCloseTo((60 / (1100 * 9.80665)) * 1000, 9);
		expect(standingCoatMm(60, 1.1)).toBeCloseTo(5.562, 3);
	});
	it('a wall of 4 mm in coats of 1.5 mm is three, stiff for upright faces', () => {
		const planned = planShot(
			inputs({ kind: 'brushed', fillerId: 'f', wallMm: 4, coatMm: 1.5, stands: 'upright' }),
			{ ...context, filler: silica }
		);
		const layers = planned.shot.batches[0]!.layers!;
		expect(layers).toHaveLength(3);
		for (const l of layers) {
			expect(layerAmount(l).volumeMl).toBeCloseTo(12, 6);
			// two scoops to one of B: loose volume twice that of B
			expect(l.fillers![0]!.massG).toBeCloseTo(2 * l.b.volumeMl * 0.05, 6);
			expect(l.recoatFromS).toBeLessThan(l.recoatUntilS);
		}
		for (const [i, l] of layers.slice(1).entries())
			expect(l.pouredS! - layers[i]!.pouredS!).toBeGreaterThanOrEqual(layers[i]!.recoatFromS - 1);
	});
	it('a thickener without its scoops, a coat that sags: said', () => {
		expect(() =>
			planShot(inputs({ kind: 'brushed', fillerId: 'f' }), { ...context, filler: bronze })
		).toThrow(/no record of how many scoops/);
		const sags = planShot(
			inputs({ kind: 'brushed', fillerId: 'f', wallMm: 8, coatMm: 8, stands: 'upright' }),
			{ ...context, filler: silica }
		);
		expect(sags.shot.warnings.map((w) => w.code)).toContain('sags');
	});
});

it('a cup that is brushed on says what becomes of it where it is left standing', () => {
	const planned = planShot(inputs({ kind: 'brushed', wallMm: 6, coatMm: 3, fillerId: 'f' }), {
		...context,
		filler: silica
	});
	const { standing, potLifeS } = planned.shot.batches[0]!.layers![0]!;
	expect(standing!.peakTimeS).toBeGreaterThan(potLifeS);
	expect(standing!.peakTempC).toBeGreaterThan(40);
});
