import { expect, it } from 'vitest';
import { DEMO_RESINS } from '../../server/demo/materials';
import { cup } from '../cure';
import { cureOf, resinRecord } from '../shelf';
import {
	benchForecast,
	benchSteps,
	clockCups,
	correctedPlan,
	reducePour,
	type PourEvent,
	type PourPlan
} from '.';

const cure = cureOf(resinRecord.parse(DEMO_RESINS.find((r) => r.name === 'Harbour slow')));
const common = { massG: 150, startTempC: 23, roomTempC: 23 };
const potLifeS = cup({ resin: cure, ...common }).potLifeS;
const plan: PourPlan = {
	shotId: 's',
	batchIndex: 0,
	batchCount: 1,
	masterName: 'Figure',
	moulds: [{ id: 'm', number: 1, label: 'Figure', copies: 1 }],
	resinName: 'Harbour slow',
	chemistry: 'urethane',
	cure,
	section: { section: { shape: 'slab', thicknessMm: 6 }, mouldWallMm: 12 },
	a: { massG: 79, volumeMl: 70 },
	b: { massG: 71, volumeMl: 70 },
	...common,
	markAMm: 40,
	markBMm: 40,
	cupDiameterMm: 47,
	potLifeS,
	gelTimeS: potLifeS * 1.3,
	usableS: potLifeS * 0.85,
	steps: [{ name: 'Mix', durationS: 60, role: 'mix' }],
	holdUntilS: 1200,
	demouldS: 4500,
	relativeHumidity: 40,
	mouldTempC: 23
};
const air = (roomTempC: number) => ({ roomTempC, mouldTempC: roomTempC, relativeHumidity: 40 });

it('nothing read, nothing corrected; a plan without a record stays as it was', () => {
	expect(benchForecast(plan, { temps: [] })).toBeUndefined();
	expect(benchForecast(plan, { temps: [], air: air(23.2) })).toBeUndefined();
	const { cure: _cure, ...old } = plan;
	expect(benchForecast(old as PourPlan, { temps: [{ timeS: 60, tempC: 25 }] })).toBeUndefined();
	expect(correctedPlan(plan, undefined)).toBe(plan);
});

it('a room ten degrees warmer about halves what is left (common practice, no source)', () => {
	const warm = benchForecast(plan, { temps: [], air: air(33) })!;
	expect(warm.potLifeS / potLifeS).toBeGreaterThan(0.3);
	expect(warm.potLifeS / potLifeS).toBeLessThan(0.65);
	expect(warm.usableS / warm.potLifeS).toBeCloseTo(0.85, 9);
	expect(warm.potLifeLowS).toBeUndefined();
	expect(correctedPlan(plan, warm)).toMatchObject({ potLifeS: warm.potLifeS, demouldS: warm.demouldS });
});

it('readings of a batch that goes half as fast again find that out, and the band holds it', () => {
	const truth = cup({ resin: { ...cure, rateFactor: 1.5 }, ...common });
	const temps = truth.series
		.filter((p) => p.timeS > 20 && p.timeS < truth.potLifeS * 0.8)
		.filter((_, i) => i % 6 === 0)
		.slice(0, 8)
		.map(({ timeS, tempC }) => ({ timeS, tempC }));
	const forecast = benchForecast(plan, { temps })!;
	expect(forecast.rateFactor).toBeGreaterThan(1.3);
	expect(forecast.rateFactor).toBeLessThan(1.7);
	expect(forecast.potLifeLowS!).toBeLessThan(truth.potLifeS);
	expect(forecast.potLifeHighS!).toBeGreaterThan(truth.potLifeS);
	expect(forecast.demouldS).toBeLessThan(benchForecast(plan, { temps: [], air: air(23.6) })!.demouldS);
});

it('only what was read between combining and pouring counts for the cup', () => {
	const steps = benchSteps(plan);
	const at = (atMs: number, e: object) => ({ id: `${atMs}`, atMs, ...e }) as PourEvent;
	const events = [
		at(1000, { kind: 'temp-read', tempC: 22 }),
		at(2000, { kind: 'step-done', stepId: 'combine' }),
		at(32_000, { kind: 'temp-read', tempC: 25 }),
		at(60_000, { kind: 'step-done', stepId: 'timed-0' }),
		at(90_000, { kind: 'temp-read', tempC: 60 })
	];
	expect(reducePour(steps, events).temps).toEqual([{ timeS: 30, tempC: 25 }]);
});

it('a release stands before the air is read, with its wait; talc has none', () => {
	const kinds = (release: PourPlan['release']) =>
		benchSteps({ ...plan, ...(release ? { release } : {}) })
			.slice(0, 4)
			.map((s) => s.id);
	expect(kinds({ name: 'Spray', kind: 'silicone spray', flashOffS: 300 })).toEqual([
		'look',
		'coat',
		'flash-off',
		'air'
	]);
	expect(kinds({ name: 'Talc', kind: 'talc', flashOffS: 0 })).toEqual(['look', 'coat', 'air', 'shake']);
	expect(kinds(undefined)).toEqual(['look', 'air', 'shake', 'measure-b']);
});

it('a filler in the cup does not shorten the clock: readings of the planned cup leave it as it was', () => {
	const filled: PourPlan = { ...plan, massG: 230, fillers: [{ name: 'chalk', massG: 80, volumeMl: 30 }] };
	expect(clockCups(filled)).toEqual([{ resinG: 150, startTempC: 23 }]);
	const temps = cup({ resin: cure, ...common })
		.series.filter((p) => p.timeS > 20 && p.timeS < potLifeS * 0.7)
		.filter((_, i) => i % 8 === 0)
		.slice(0, 6)
		.map(({ timeS, tempC }) => ({ timeS, tempC }));
	expect(temps.length).toBeGreaterThan(3);
	const forecast = benchForecast(filled, { temps })!;
	expect(forecast.potLifeS / potLifeS).toBeCloseTo(1, 1);
	expect(forecast.rateFactor).toBeCloseTo(1, 1);
});

it('colours poured together: each cup by its own mass and temperature, the first too thick ends the pour', () => {
	const small = { a: { massG: 26, volumeMl: 23 }, b: { massG: 24, volumeMl: 23 }, massG: 50, startTempC: 23 };
	const large = {
		a: { massG: 53, volumeMl: 47 },
		b: { massG: 47, volumeMl: 47 },
		massG: 100,
		startTempC: 30
	};
	const cups = [small, large].map((c, i) => ({ ...c, name: `${i}`, potLifeS: 0, colours: [] }));
	const swirled: PourPlan = {
		...plan,
		cups,
		steps: [{ name: 'Mix 2 cups', durationS: 120, role: 'mix' }]
	};
	const alone = (massG: number, startTempC: number, roomTempC: number) =>
		cup({ resin: cure, massG, startTempC, roomTempC }).potLifeS;
	const warm = benchForecast(swirled, { temps: [], air: air(28) })!;
	// the one stood in the room, the other was warmed; it is combined a minute later
	expect(warm.potLifeS).toBeCloseTo(Math.min(alone(50, 28, 28), 60 + alone(100, 30, 28)), 6);
});

it('of a cast in layers the first cup is the one that is read', () => {
	const layer = { a: { massG: 20, volumeMl: 18 }, b: { massG: 18, volumeMl: 18 } };
	const rolled = { ...plan, layers: [layer, layer] as NonNullable<PourPlan['layers']> };
	expect(clockCups(rolled)).toEqual([{ resinG: 38, startTempC: 23 }]);
	const warm = benchForecast(rolled, { temps: [], air: air(28) })!;
	expect(warm.potLifeS).toBeCloseTo(
		cup({ resin: cure, massG: 38, startTempC: 28, roomTempC: 28 }).potLifeS,
		6
	);
});
