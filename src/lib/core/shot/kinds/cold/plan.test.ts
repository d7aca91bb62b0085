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
});
