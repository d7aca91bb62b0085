import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { InputError } from '../../../working';
import { keptLayer, layerAmount, planShot, type LayerRow, type ShotContext } from '../..';
import { handsOn } from '../../handsOn';
import type { TimedLayer } from '../../layerSpec';
import { context as cube, inputs, silica } from '../shots.testing';

const spheres = {
	id: 'spheres',
	name: 'Spheres',
	family: 'hollow spheres' as const,
	densityGPerMl: 0.25,
	bulkDensityGPerMl: 0.12
};
const context: ShotContext = {
	...cube,
	cavityVolumeMl: 400,
	fillers: [{ id: 'silica', ...silica }, spheres]
};
const hollow = (layerRows: Partial<LayerRow>[], more: object = {}) =>
	planShot(inputs({ kind: 'rotocast', wallMm: 4, areaMm2: 40_000, layerRows, ...more }), context, false);
const massesOf = (shot: ReturnType<typeof hollow>) =>
	shot.shot.batches[0]!.layers!.map((l) => layerAmount(l).massG);
const problemOf = (work: () => unknown) => {
	try {
		work();
	} catch (e) {
		if (e instanceof InputError) return { path: e.path.join('.'), message: e.message };
		throw e;
	}
	return undefined;
};

describe('layers that differ', () => {
	it('by hand: 40 000 mm² × 4 mm are 160 ml; a quarter of it and what is left of it, at 1.045 g/ml', () => {
		// A 1.1 and B 0.99 g/ml at 100:90: 190 ÷ (100/1.1 + 90/0.99) = 1.045 g/ml
		const [first, second] = massesOf(hollow([{ sharePercent: 25 }, {}]));
		expect(first).toBeCloseTo(40 * 1.045, 6);
		expect(second).toBeCloseTo(120 * 1.045, 6);
	});
	it('a layer to one side lies twice as thick as the same resin all over', () => {
		const of = (place: string) =>
			hollow([{ sharePercent: 50, place }, {}]).shot.batches[0]!.layers![0]!.thicknessMm;
		expect(of('left') / of('everywhere')).toBeCloseTo(2, 9);
		expect(of('the horns')).toBe(of('everywhere'));
	});
	it('scoops by hand: one loose scoop of 0.05 g/ml to one of B, the resin and its ratio kept', () => {
		const [, last] = hollow([{}, { fillerId: 'silica', scoops: 1, sharePercent: 50 }]).shot.batches[0]!
			.layers!;
		const filler = last!.fillers![0]!;
		expect(filler.massG).toBeCloseTo(last!.b.volumeMl * 0.05, 6);
		expect(last!.a.massG / last!.b.massG).toBeCloseTo(100 / 90, 9);
		expect(last!.a.volumeMl + last!.b.volumeMl + filler.massG / 2.2).toBeCloseTo(80, 6);
	});
	it('what is a paste by its own record is not rolled, nor through and through', () => {
		expect(problemOf(() => hollow([{}, { fillerId: 'silica', scoops: 4.65 }]))).toMatchObject({
			path: 'layerRows.1.scoops',
			message: expect.stringContaining('a paste from 2 scoops')
		});
		const through = () =>
			planShot(
				inputs({ kind: 'rotocast', wallMm: 4, areaMm2: 40_000, fillerId: 'silica', fillerPercent: 10 }),
				{ ...context, filler: silica },
				false
			);
		expect(problemOf(through)).toMatchObject({
			path: 'fillerPercent',
			message: expect.stringContaining('paste from 2')
		});
	});
	it('more than the wall, an unknown filler and a cup of nothing are refused at their row', () => {
		expect(problemOf(() => hollow([{ sharePercent: 100 }, {}]))?.path).toBe('layerRows.1.sharePercent');
		expect(problemOf(() => hollow([{ fillerId: 'gone' }]))?.path).toBe('layerRows.0.fillerId');
		expect(problemOf(() => hollow([{ massG: 5000 }]))?.path).toBe('wallMm');
	});
	it('nothing is stirred in unasked; what would keep the last layer up is offered, and does it', () => {
		const plain = hollow([{}, {}, {}]);
		expect(plain.shot.batches[0]!.layers!.every((l) => !l.fillers?.length)).toBe(true);
		const { offer } = plain;
		expect(offer).toBeDefined();
		const taken = hollow([{}, {}, { fillerId: offer!.fillerId, scoops: offer!.scoops }]);
		expect([taken.rotocast!.layers.at(-1)!.sags, taken.offer]).toEqual([false, undefined]);
	});
	it('volume is conserved over any table: skin times wall, rim and what is lost', () => {
		const row = fc.record(
			{
				place: fc.constantFrom('everywhere', 'left', 'right', 'middle', 'rim', 'the brim'),
				sharePercent: fc.double({ min: 1, max: 20, noNaN: true }),
				fillerId: fc.constantFrom('', 'silica', 'spheres'),
				scoops: fc.double({ min: 0.05, max: 0.7, noNaN: true })
			},
			{ requiredKeys: ['fillerId', 'scoops'] }
		);
		fc.assert(
			fc.property(fc.array(row, { minLength: 1, maxLength: 4 }), (rows) => {
				const shot = hollow([...rows, {}] as Partial<LayerRow>[], { lossPercent: 10 });
				const ml = shot.shot.batches[0]!.layers!.reduce((s, l) => s + layerAmount(l).volumeMl, 0);
				expect(ml).toBeCloseTo(160 * 1.1, 4);
			}),
			{ numRuns: 25 }
		);
	});
	it('a rim of any height and thickness by hand: 300 × 8 × (10 − 4) mm and 5 mm of 10 to be cut off', () => {
		const without = hollow([]).rotocast!.totalVolumeMl;
		const rimmed = hollow([], { rimLengthMm: 300, rimMm: 8, rimThickMm: 10, trimMm: 5 }).rotocast!;
		expect(rimmed.totalVolumeMl - without).toBeCloseTo((300 * (8 * 6 + 5 * 10)) / 1000, 6);
		// thinner than the wall there is nothing to add
		expect(hollow([], { rimLengthMm: 300, rimMm: 8, rimThickMm: 2 }).rotocast!.rimVolumeMl).toBe(0);
	});
	it('a shot that was kept before layers could differ is planned as it was', () => {
		const {
			layerRows: _rows,
			trimMm: _trim,
			out: _out,
			...before
		} = inputs({ kind: 'rotocast', wallMm: 4, areaMm2: 40_000 });
		const now = planShot(before as never, context, false);
		expect(massesOf(now)).toEqual(massesOf(hollow([])));
		expect(now.shot.batches[0]!.layers!.map((l) => keptLayer(l).pouredS)).toEqual(
			hollow([]).shot.batches[0]!.layers!.map((l) => l.pouredS)
		);
	});
});

describe('hands between layers', () => {
	const layer = (over: Partial<TimedLayer> = {}): TimedLayer => ({
		volumeMl: 10,
		thicknessMm: 1,
		serves: '',
		way: 'roll',
		fillers: [],
		pouredS: 0,
		lockS: 100,
		gelS: 150,
		recoatFromS: 150,
		recoatUntilS: 170,
		...over
	});
	const hands = { mixS: 45, pourS: 20, spare: false };
	it('the next cup is combined a mixing before the one below gels', () => {
		const { layers, lateS, warnings } = handsOn([layer({ lockS: 60 }), layer({ pouredS: 150 })], hands);
		expect([layers[1]!.combinedS, layers[1]!.pouredS, lateS, warnings]).toEqual([105, 150, 0, []]);
	});
	it('by hand: rolled until 130 of 150 s and mixed for 45 it comes 25 s late, and all after it too', () => {
		const { layers, lateS, warnings } = handsOn(
			[layer({ lockS: 130 }), layer({ pouredS: 150, lockS: 60 }), layer({ pouredS: 300 })],
			hands
		);
		expect([lateS, layers[1]!.pouredS, layers[2]!.pouredS]).toEqual([25, 175, 325]);
		expect(warnings[0]).toMatchObject({ code: 'bond-window', severity: 'harm' });
		expect(warnings[0]!.message).toContain('has 20 s, 1:30');
	});
	it('a second pair mixes while the first rolls', () => {
		const { lateS } = handsOn([layer({ lockS: 130 }), layer({ pouredS: 150 })], { ...hands, spare: true });
		expect(lateS).toBe(0);
	});
});
