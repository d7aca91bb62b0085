import { describe, expect, it } from 'vitest';
import {
	bandsOf,
	cupBands,
	cupMoves,
	layersBand,
	layersMoves,
	partMoves,
	sectionsBands,
	surer,
	truths
} from './bands';
import { calibrate } from './calibrate';
import { cup, cupFigures, type CupInput } from './cup';
import { bandsAlong } from './bandsAlong';
import { forecast, forecastBands } from './forecast';
import { solveLayered } from './layered';
import type { CureRecord } from './record';
import { sections } from './sections';
import { BAND_80 } from './spread';

const fast: CureRecord = { potLifeS: 150, demouldS: 900, character: 'quick' };
const slow: CureRecord = { potLifeS: 1200, demouldS: 14_400, character: 'gradual' };
const at23 = { startTempC: 23, mouldTempC: 23, roomTempC: 23 };
const inCup = (resin: CureRecord, massG: number): CupInput => ({
	resin,
	massG,
	startTempC: 23,
	roomTempC: 23
});
const inside = (values: readonly number[], band: { low: number; high: number }) =>
	(100 * values.filter((v) => v >= band.low && v <= band.high).length) / values.length;

describe('bands by central differences', () => {
	it('of a product of powers: by hand, the root of the squares', () => {
		// f = x·y², x off by 10 % and y by 20 %: σ of ln f is √(0.1² + (2·0.2)²)
		const moves = {
			speed: (q: { x: number; y: number }, k: number) => ({ ...q, x: q.x * Math.exp(0.1 * k) }),
			demouldS: (q: { x: number; y: number }, k: number) => ({ ...q, y: q.y * Math.exp(0.2 * k) })
		};
		const { f } = bandsOf({ x: 2, y: 3 }, moves, ({ x, y }) => ({ f: x * y * y }), ['f']);
		const sd = Math.sqrt(0.1 ** 2 + 0.4 ** 2);
		expect(f.sd).toBeCloseTo(sd, 9);
		expect(f.low).toBeCloseTo(18 * Math.exp(-BAND_80 * sd), 9);
		expect(f.high).toBeCloseTo(18 * Math.exp(BAND_80 * sd), 9);
		expect(f.mostly).toBe('demouldS');
	});
	it('four of five fast pot lives of 2:30 fall in about 117 to 188 s (common practice, no source)', () => {
		const { potLifeS } = cupBands(inCup(fast, 100));
		expect(potLifeS.low).toBeGreaterThan(110);
		expect(potLifeS.low).toBeLessThan(124);
		expect(potLifeS.high).toBeGreaterThan(180);
		expect(potLifeS.high).toBeLessThan(198);
		expect(potLifeS.mostly).toBe('speed');
	});
	it('a tin that was taught its speed is surer, and then the temperature leads', () => {
		const taught = cupBands(inCup({ ...fast, rateFactor: 1 }, 100)).potLifeS;
		expect(taught.sd).toBeLessThan(cupBands(inCup(fast, 100)).potLifeS.sd * 0.75);
		expect(taught.mostly).not.toBe('speed');
	});
	it('what would make it surer names each thing once', () => {
		const { potLifeS, gelTimeS, peakTempC } = cupBands(inCup(fast, 100));
		const words = surer([potLifeS, gelTimeS, peakTempC]);
		expect(new Set(words).size).toBe(words.length);
		expect(words.join(' ')).toContain('peak exotherm');
	});
	it('a part: the sheet’s own meaning leads, and a skin is less sure than a cup', () => {
		const band = sectionsBands({
			resin: fast,
			where: { section: { shape: 'slab', thicknessMm: 3 }, mouldWallMm: 10, open: true },
			...at23
		}).demouldS;
		expect(band.mostly).toBe('demouldS');
		expect(band.high / band.low).toBeGreaterThan(3);
		expect(band.high / band.low).toBeLessThan(7);
	});
});

/** Of truths drawn from the spreads, all of them off at once, four of five lie inside; 400 of each in the bench. */
describe('the bands hold', () => {
	it.each([
		['a fast cup', inCup(fast, 100)],
		['a slow cup', inCup(slow, 400)]
	])('%s', (_name, question) => {
		const lives = truths(question, cupMoves, 120).map((q) => cupFigures(q).potLifeS);
		const share = inside(lives, cupBands(question).potLifeS);
		expect(share).toBeGreaterThanOrEqual(72);
		expect(share).toBeLessThanOrEqual(88);
	});
	it('four rolled layers, from the pour of the last', () => {
		const setup = {
			layersMm: [1.2, 1.2, 1.2, 1.2],
			mouldWallMm: 12,
			mixS: 45,
			nextAt: 0.5,
			recoatUntil: 0.8,
			...at23
		};
		const question = { resin: { ...fast, demouldS: 1800, character: 'gradual' as const }, setup };
		const times = truths(question, layersMoves, 60).map(({ resin, setup }) => {
			const run = solveLayered(calibrate(resin), setup, 0.02);
			return run.demouldS - run.layers.at(-1)!.startS;
		});
		const share = inside(times, layersBand(question));
		expect(share).toBeGreaterThanOrEqual(72);
		expect(share).toBeLessThanOrEqual(88);
	});
	it.each([
		['a skin of 3 mm', 3, true],
		['a block of 12 mm', 12, false]
	])('%s', (_name, thicknessMm, open) => {
		const question = {
			resin: fast,
			where: { section: { shape: 'slab' as const, thicknessMm }, mouldWallMm: 10, open },
			...at23
		};
		const times = truths(question, partMoves, 60).map((q) => sections(q.resin, q.where, q).demouldS);
		const share = inside(times, sectionsBands(question).demouldS);
		expect(share).toBeGreaterThanOrEqual(72);
		expect(share).toBeLessThanOrEqual(88);
	});
});

it('the figures of a cup alone are those of the cup', () => {
	const { potLifeS, gelTimeS, peakTempC } = cup(inCup(fast, 250));
	expect(cupFigures(inCup(fast, 250))).toEqual({ potLifeS, gelTimeS, peakTempC });
});

describe('a range as a sheet prints it', () => {
	it('is the spread of its time: a narrow one is surer than the default, a wide one less sure', () => {
		const sd = (lowS: number, highS: number) =>
			cupBands(inCup({ ...fast, potLifeLowS: lowS, potLifeHighS: highS }, 100)).potLifeS.sd;
		const plain = cupBands(inCup(fast, 100)).potLifeS.sd;
		expect(sd(140, 160)).toBeLessThan(plain);
		expect(sd(100, 240)).toBeGreaterThan(plain);
		const where = { section: { shape: 'slab' as const, thicknessMm: 6 }, mouldWallMm: 10 };
		const ready = (r: CureRecord) => sectionsBands({ resin: r, where, ...at23 }).demouldS.sd;
		expect(ready({ ...fast, demouldLowS: 840, demouldHighS: 960 })).toBeLessThan(ready(fast));
	});
});

it('bands that go along while a mass is dragged are near those that are worked out when it stands', () => {
	const asked = (massG: number) => ({
		resin: fast,
		massG,
		thicknessMm: 8,
		mouldWallMm: 12,
		startTempC: 21,
		mouldTempC: 21,
		roomTempC: 21
	});
	const [before, now] = [forecast(asked(150)), forecast(asked(220))];
	const along = bandsAlong(forecastBands(asked(150), before), before, now);
	const sure = forecastBands(asked(220), now);
	for (const of of ['potLife', 'demould', 'flexible'] as const)
		for (const end of ['lowS', 'highS'] as const) expect(along[of][end] / sure[of][end]).toBeCloseTo(1, 1);
});
