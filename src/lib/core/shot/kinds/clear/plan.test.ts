import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { clearLayers, type Embed, liftG, planShot } from '../..';
import { InputError } from '../../../working';
import { context, fern, inputs, polyester } from '../shots.testing';

describe('layered clear casts', () => {
	it('the layers and what is cast in fill the mould, whatever lies in it', () => {
		fc.assert(
			fc.property(
				fc.double({ min: 20, max: 120, noNaN: true }),
				fc.double({ min: 1000, max: 40_000, noNaN: true }),
				fc.double({ min: 3, max: 60, noNaN: true }),
				fc.array(
					fc.record({
						massG: fc.double({ min: 0, max: 20, noNaN: true }),
						volumeMl: fc.double({ min: 0.05, max: 0.4, noNaN: true }),
						heightMm: fc.double({ min: 1, max: 8, noNaN: true }),
						atMm: fc.double({ min: 2, max: 11, noNaN: true })
					}),
					{ maxLength: 3 }
				),
				(depthMm, areaMm2, mostMm, things) => {
					const embeds = things.map((t, i) => ({ ...t, name: `thing ${i}` }));
					const layers = clearLayers(depthMm, areaMm2, embeds, mostMm, 1.1);
					const resinMl = layers.reduce((sum, l) => sum + l.volumeMl, 0);
					const takenMl = embeds.reduce((sum, e) => sum + e.volumeMl, 0);
					expect(resinMl + takenMl).toBeCloseTo((depthMm * areaMm2) / 1000, 6);
					expect(layers[0]!.fromMm).toBe(0);
					expect(layers.at(-1)!.toMm).toBeCloseTo(depthMm, 9);
					for (const l of layers) expect(l.toMm - l.fromMm).toBeLessThanOrEqual(mostMm + 1e-9);
					// everything lies on a boundary: what is below it has gelled before it is set
					for (const e of embeds) expect(layers.some((l) => l.setsIn.includes(e.name))).toBe(true);
				}
			)
		);
	});
	it('float by Archimedes, by hand: 1.2 ml of 0.4 g in resin of 1.1 pulls up with 0.92 g', () => {
		expect(liftG(fern, 1.1)).toBeCloseTo(1.2 * 1.1 - 0.4, 9);
		expect(liftG({ massG: 20, volumeMl: 4 }, 1.1)).toBeLessThan(0);
	});
	it('a light thing is held by a thin layer first, a heavy one is not', () => {
		const boundaries = (e: Embed) => clearLayers(30, 3200, [e], 30, 1.1).map((l) => l.toMm);
		expect(boundaries(fern)).toEqual([12, 13, 30]);
		expect(boundaries({ ...fern, massG: 9 })).toEqual([12, 30]);
	});
	it('a thing that stands out of the resin is refused, with by how much', () => {
		expect(() => clearLayers(14, 3200, [fern], 30, 1.1)).toThrow(/1 mm out of a cast/);
	});
	it('thick polyester is laid in layers that cool; a thin cast is not', () => {
		const clear = { ...context, resin: polyester };
		const thick = planShot(inputs({ kind: 'clear', depthMm: 30, embeds: [fern] }), clear);
		expect(thick.shot.batches[0]!.layers!.length).toBeGreaterThan(2);
		expect(thick.shot.warnings.map((w) => w.code)).toContain('let-it-cool');
		expect(thick.shot.warnings.map((w) => w.code)).toContain('floats');
		expect(thick.shot.warnings.map((w) => w.code)).not.toContain('may-crack');
		const thin = planShot(inputs({ kind: 'clear', depthMm: 5 }), {
			...clear,
			cavityVolumeMl: 16,
			heightMm: 5
		});
		expect(thin.shot.batches[0]!.layers).toHaveLength(1);
		// a typed thickness that cracks is warned of with its figure, not forbidden
		const block = planShot(inputs({ kind: 'clear', depthMm: 30, mostLayerMm: 30 }), clear);
		expect(block.shot.warnings.find((w) => w.code === 'may-crack')!.message).toMatch(
			/\d+ °C hot, and this resin may crack/
		);
	});
	it.each([
		// 30 mm high and 60 mm wide: 67 mm from corner to corner, by Pythagoras
		[{ depthMm: 400 }, 'depthMm', /67.1 mm from corner to corner/],
		[{ depthMm: 60, mostLayerMm: 2 }, 'mostLayerMm', /30 layers, at most 24/],
		[{ depthMm: 30, crackLimitC: 21 }, 'crackLimitC', /poured into 21 °C/]
	])('%j is refused at its field', (more, field, words) => {
		const clear = { ...context, resin: polyester };
		const refused = (() => {
			try {
				planShot(inputs({ kind: 'clear', ...more }), clear);
			} catch (error) {
				return error as InputError;
			}
			return undefined;
		})();
		expect(refused).toBeInstanceOf(InputError);
		expect(refused!.path).toEqual([field]);
		expect(refused!.message).toMatch(words);
	});
	it('things that lie at ten heights cut ten layers, and no search goes past what is planned', () => {
		const embeds = Array.from({ length: 10 }, (_, i) => ({
			name: `leaf ${i}`,
			massG: 0.1,
			volumeMl: 0.05,
			heightMm: 1,
			atMm: 2.5 + i * 2.5
		}));
		const { shot } = planShot(inputs({ kind: 'clear', depthMm: 30, embeds }), {
			...context,
			resin: polyester
		});
		const layers = shot.batches[0]!.layers!;
		expect(layers.length).toBeLessThanOrEqual(24);
		for (const e of embeds) expect(layers.flatMap((l) => l.setsIn ?? [])).toContain(e.name);
	});
});
