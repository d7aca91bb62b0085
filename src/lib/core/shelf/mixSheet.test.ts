import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { DEMO_COLOURS, DEMO_FILLERS, DEMO_RESINS } from '../../server/seed/materials';
import { cup } from '../cure';
import { colourRecord, coloursOf, cureOf, fillerRecord, mixSheet, resinRecord, type FillerPer } from '.';

const resin = (name: string) => resinRecord.parse(DEMO_RESINS.find((r) => r.name === name));
const filler = (name: string) => fillerRecord.parse(DEMO_FILLERS.find((f) => f.name === name));
const colour = (name: string) => colourRecord.parse(DEMO_COLOURS.find((c) => c.name === name));
const white = resin('Lantern white');
const base = {
	resin: white,
	target: { volumeMl: 100 },
	fillers: [],
	colours: [],
	addLoss: false,
	tempC: 23,
	scaleResolutionG: 0.1
};

describe('one mix', () => {
	it('by hand: 100 ml of a resin whose halves weigh 1.10 and 0.99 g/ml are 55 g of A and 49.5 g of B', () => {
		const { result, errors, mistakeMl } = mixSheet(base);
		expect(errors).toEqual([]);
		expect(result!.a.massG).toBeCloseTo(55, 6);
		expect(result!.b.massG).toBeCloseTo(49.5, 6);
		// 100 g instead of 100 ml are 95.7 ml: 4.3 ml short
		expect(mistakeMl).toBeCloseTo(100 - 100 / 1.045, 6);
	});

	it('what stays in the cup is mixed besides, and only when it is asked for', () => {
		const plain = mixSheet(base);
		const more = mixSheet({ ...base, addLoss: true });
		expect(plain.lossMl).toBe(0);
		expect(more.lossMl).toBeGreaterThan(0.5);
		expect(more.result!.total.volumeMl).toBeCloseTo(100 + more.lossMl, 6);
		expect(mixSheet({ ...base, target: { massG: 100 }, addLoss: true }).lossMl).toBe(0);
	});

	it('a filler takes up room: the whole is still the volume that was asked for, and less of it is resin', () => {
		const light = { record: filler(DEMO_FILLERS[0]!.name), amount: 40, per: 'phr' as const };
		const { result } = mixSheet({ ...base, fillers: [light] });
		expect(result!.total.volumeMl).toBeCloseTo(100, 6);
		const resinG = result!.a.massG + result!.b.massG;
		expect(result!.fillers[0]!.massG).toBeCloseTo(0.4 * resinG, 6);
		expect(resinG).toBeLessThan(104.5);
		const little = mixSheet({ ...base, fillers: [{ ...light, amount: 5 }] });
		expect(little.feel!.viscosityMpaS!).toBeGreaterThan(little.freshMpaS);
	});

	it('its cup cures as the engine says of its resin alone, and a colour lengthens that', () => {
		const { cured, result } = mixSheet(base);
		const alone = cup({
			resin: cureOf(white),
			massG: result!.a.massG + result!.b.massG,
			startTempC: 23,
			roomTempC: 23
		});
		expect(cured!.potLifeS).toBeCloseTo(alone.potLifeS, 6);
		const slow = { ...colour(DEMO_COLOURS[0]!.name), lengtheningPercent: 10 };
		const coloured = mixSheet({ ...base, colours: [{ record: slow, percent: 1 }] });
		expect(coloured.load.lengtheningPercent).toBeGreaterThan(0);
		expect(coloured.cured!.potLifeS).toBeGreaterThan(alone.potLifeS);
	});

	it('what is heavier than the mix sinks, what is lighter floats, nothing else is spoken of', () => {
		const all = DEMO_FILLERS.map((f) => ({ record: filler(f.name), amount: 5, per: 'phr' as const }));
		const { settling } = mixSheet({ ...base, fillers: all });
		for (const s of settling) {
			const { densityGPerMl } = all.find((f) => f.record.name === s.name)!.record;
			expect(Math.sign(s.mm), s.name).toBe(Math.sign(densityGPerMl - 1.045));
			expect(Math.abs(s.mm)).toBeGreaterThan(0.5);
		}
	});

	it('a polyester takes catalyst by its mass instead of a B', () => {
		const { result } = mixSheet({ ...base, resin: resin('Amber clear') });
		expect(result!.b.massG).toBe(0);
		expect(result!.catalyst!.massG / result!.a.massG).toBeGreaterThan(0.005);
	});

	it('colours of a recipe in percent of the resin; one that is gone from the shelf is left out', () => {
		const red = { id: 'red', record: colour(DEMO_COLOURS[0]!.name) };
		const recipe = {
			name: 'r',
			resinId: 'x',
			resinMassG: 200,
			doses: [
				{ colourId: 'red', massG: 0.5, look: '' },
				{ colourId: 'gone', massG: 1, look: '' },
				{ colourId: 'red', massG: 0.5, look: '' }
			],
			note: ''
		};
		expect(coloursOf(recipe, [red])).toEqual([{ record: red.record, percent: 0.5 }]);
		expect(coloursOf(undefined, [red])).toEqual([]);
	});
});

describe('what is typed wrong', () => {
	it('is said at its field, and nothing is made of it', () => {
		const record = filler(DEMO_FILLERS[0]!.name);
		const at = (more: object) => {
			const { result, errors } = mixSheet({ ...base, ...more });
			expect(result).toBeUndefined();
			return errors.map((e) => e.path);
		};
		for (const volumeMl of [undefined, 0, -5, NaN, Infinity, 5e-324])
			expect(
				at({ target: { volumeMl } }).every((p) => p.startsWith('target')),
				`${volumeMl}`
			).toBe(true);
		expect(at({ target: { massG: undefined } })[0]).toMatch(/^target/);
		for (const amount of [undefined, -1, NaN])
			expect(at({ fillers: [{ record, amount, per: 'phr' }] })[0], `${amount}`).toMatch(/^fillers\.0/);
	});

	it('no amounts, shares or temperatures make it throw', () => {
		const records = DEMO_FILLERS.map((f) => filler(f.name));
		const any = fc.oneof(fc.double(), fc.constant(undefined), fc.integer({ min: -1000, max: 100_000 }));
		fc.assert(
			fc.property(
				any,
				fc.array(
					fc.record({
						record: fc.constantFrom(...records),
						amount: any,
						per: fc.constantFrom<FillerPer>('phr', 'total-mass-percent', 'b-volume-share', 'b-mass-percent')
					}),
					{ maxLength: 3 }
				),
				fc.oneof(fc.integer({ min: -80, max: 400 }), fc.constant(NaN)),
				fc.constantFrom(...DEMO_RESINS.map((r) => r.name)),
				(volumeMl, fillers, tempC, name) => {
					const sheet = mixSheet({ ...base, resin: resin(name), target: { volumeMl }, fillers, tempC });
					expect(sheet.result === undefined).toBe(sheet.errors.length > 0);
				}
			),
			{ numRuns: 120 }
		);
	});
});
