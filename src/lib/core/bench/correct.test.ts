import { expect, it } from 'vitest';
import { DEMO_RESINS } from '../../server/seed/materials';
import { cup } from '../cure';
import { cureOf, resinRecord } from '../shelf';
import { clockCups, type PourPlan } from '../plan/pourPlan';
import { benchForecast, benchSteps, correctedPlan, reducePour, type PourEvent } from '.';
import { planOf } from './plan.testing';

const cure = cureOf(resinRecord.parse(DEMO_RESINS.find((r) => r.name === 'Harbour slow')));
const common = { massG: 150, startTempC: 23, roomTempC: 23 };
const potLifeS = cup({ resin: cure, ...common }).potLifeS;
const plan = planOf({
	cure,
	section: { section: { shape: 'slab', thicknessMm: 6 }, mouldWallMm: 12 },
	a: { massG: 79, volumeMl: 70 },
	b: { massG: 71, volumeMl: 70 },
	...common,
	potLifeS,
	gelTimeS: potLifeS * 1.3,
	usableS: potLifeS * 0.85,
	steps: [{ name: 'Mix', durationS: 60, role: 'mix' }],
	pot: undefined,
	holdUntilS: 1200,
	demouldS: 4500,
	mouldTempC: 23
});
const air = (roomTempC: number) => ({ roomTempC, mouldTempC: roomTempC, relativeHumidity: 40 });

/** What a gun shows of a cup now and then until it is getting thick. */
const readOf = (truth: ReturnType<typeof cup>, index: number) =>
	truth.series
		.filter((p) => p.timeS > 20 && p.timeS < truth.potLifeS * 0.8)
		.filter((_, i) => i % 6 === 0)
		.slice(0, 8)
		.map(({ timeS, tempC }) => ({ timeS, tempC, cup: index }));

it('nothing read, nothing corrected; a plan without a record stays as it was', () => {
	expect(benchForecast(plan, { temps: [] })).toBeUndefined();
	expect(benchForecast(plan, { temps: [], air: air(23.2) })).toBeUndefined();
	const { cure: _cure, ...old } = plan;
	expect(benchForecast(old as PourPlan, { temps: [{ timeS: 60, tempC: 25, cup: 0 }] })).toBeUndefined();
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
	const temps = readOf(truth, 0);
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
	expect(reducePour(steps, events).temps).toEqual([{ timeS: 30, tempC: 25, cup: 0 }]);
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
	expect(clockCups(filled)).toEqual([{ massG: 150, startTempC: 23 }]);
	const temps = readOf(cup({ resin: cure, ...common }), 0);
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

it('colours: a cup teaches by its own mass, and what it taught holds for the others', () => {
	const sized = (aG: number, bG: number, startTempC: number) => ({
		a: { massG: aG, volumeMl: aG },
		b: { massG: bG, volumeMl: bG },
		massG: aG + bG,
		startTempC,
		name: `${aG}`,
		potLifeS: 0,
		colours: []
	});
	const two: PourPlan = {
		...plan,
		cups: [sized(53, 47, 23), sized(16, 14, 23)],
		steps: [{ name: 'Mix 2 cups', durationS: 120, role: 'mix' }]
	};
	const fast = { ...cure, rateFactor: 1.5 };
	const small = cup({ resin: fast, massG: 30, startTempC: 23, roomTempC: 23 });
	const known = benchForecast(two, { temps: readOf(small, 1) })!;
	expect(known.rateFactor).toBeGreaterThan(1.3);
	expect(known.rateFactor).toBeLessThan(1.7);
	// the large one, which nobody read, is too thick first
	const large = cup({ resin: fast, massG: 100, startTempC: 23, roomTempC: 23 }).potLifeS;
	const truthS = Math.min(large, 60 + small.potLifeS);
	// a small cup hardly warms: what it says stays near the sheet, and the band says how far it may be off
	expect(Math.abs(known.potLifeS / truthS - 1)).toBeLessThan(0.12);
	expect(known.potLifeLowS!).toBeLessThan(truthS);
	expect(known.potLifeHighS!).toBeGreaterThan(truthS);
	// taken for the large one, the same figures fit it worse
	const wrong = benchForecast(two, { temps: readOf(small, 0) })!;
	expect(wrong.rmsC!).toBeGreaterThan(known.rmsC!);
});

const layer = (massG: number, windows: [number, number, number, number]) => ({
	a: { massG: massG * 0.53, volumeMl: massG * 0.5 },
	b: { massG: massG * 0.47, volumeMl: massG * 0.5 },
	thicknessMm: 1,
	potLifeS: cup({ resin: cure, massG, startTempC: 23, roomTempC: 23 }).potLifeS,
	lockS: windows[0],
	gelS: windows[1],
	recoatFromS: windows[2],
	recoatUntilS: windows[3],
	serves: 'all'
});
const rolled: PourPlan = {
	...plan,
	layers: [layer(38, [200, 300, 320, 500]), layer(50, [180, 280, 300, 450])]
};

it('of a cast in layers each cup has its own mass, and the room moves every window', () => {
	expect(clockCups(rolled)).toEqual([
		{ massG: 38, startTempC: 23 },
		{ massG: 50, startTempC: 23 }
	]);
	const warm = benchForecast(rolled, { temps: [], air: air(28) })!;
	const alone = (massG: number) => cup({ resin: cure, massG, startTempC: 28, roomTempC: 28 }).potLifeS;
	expect(warm.potLifeS).toBeCloseTo(alone(38), 6);
	expect(warm.layers!.map((l) => l.potLifeS)).toEqual([alone(38), alone(50)]);
	const corrected = correctedPlan(rolled, warm);
	corrected.layers!.forEach((l, i) => {
		for (const of of ['lockS', 'gelS', 'recoatFromS', 'recoatUntilS'] as const)
			expect(l[of] / rolled.layers![i]![of], `${of} of ${i}`).toBeLessThan(0.95);
		expect(l.recoatFromS).toBeLessThan(l.recoatUntilS);
		expect(l.thicknessMm).toBe(1);
	});
	expect(corrected.demouldS).toBeLessThan(rolled.demouldS);
});

it('the speed that one layer taught shortens the windows of all: thin films take the same conversion in less time', () => {
	// a film this thin keeps the mould's temperature: time goes as one over the speed, less what it cured in the cup
	const quick = cup({ resin: { ...cure, rateFactor: 1.6 }, massG: 50, startTempC: 23, roomTempC: 23 });
	const now = benchForecast(rolled, { temps: readOf(quick, 1) })!;
	const speed = now.rateFactor!;
	expect(speed).toBeGreaterThan(1.35);
	expect(speed).toBeLessThan(1.75);
	now.layers!.forEach((l, i) => {
		expect((l.gelS / rolled.layers![i]!.gelS) * speed).toBeGreaterThan(0.75);
		expect((l.gelS / rolled.layers![i]!.gelS) * speed).toBeLessThan(1.05);
	});
	expect(now.potLifeLowS!).toBeLessThan(now.layers![1]!.potLifeS);
	expect(now.potLifeHighS!).toBeGreaterThan(now.layers![1]!.potLifeS);
});

it('layers that are left to cool wait for their heat to go, whatever the cup read', () => {
	const clear: PourPlan = {
		...rolled,
		layers: rolled.layers!.map((l) => ({ ...l, way: 'flat' as const, recoatFromS: 4000, recoatUntilS: 9000 }))
	};
	const warm = benchForecast(clear, { temps: [], air: air(28) })!;
	expect(warm.layers!.map((l) => [l.gelS, l.recoatFromS, l.recoatUntilS])).toEqual(
		clear.layers!.map((l) => [l.gelS, 4000, 9000])
	);
	const ids = (p: PourPlan) => benchSteps(p).map((s) => s.id);
	expect(ids(correctedPlan(clear, warm))).toEqual(ids(clear));
	expect(ids(correctedPlan(rolled, benchForecast(rolled, { temps: [], air: air(28) })))).toEqual(ids(rolled));
});

it('a reading belongs to the layer whose cup was combined last, and not to one that is laid', () => {
	const steps = benchSteps(rolled);
	const at = (s: number, e: object) => ({ id: `${s}`, atMs: s * 1000, ...e }) as PourEvent;
	const events = [
		at(100, { kind: 'step-done', stepId: 'combine' }),
		at(130, { kind: 'temp-read', tempC: 25 }),
		at(160, { kind: 'step-done', stepId: 'pour-0' }),
		at(170, { kind: 'temp-read', tempC: 60 }),
		at(400, { kind: 'step-done', stepId: 'combine-1' }),
		at(420, { kind: 'temp-read', tempC: 26 }),
		at(450, { kind: 'step-done', stepId: 'pour-1' }),
		at(460, { kind: 'temp-read', tempC: 70 })
	];
	expect(reducePour(steps, events).temps).toEqual([
		{ timeS: 30, tempC: 25, cup: 0 },
		{ timeS: 20, tempC: 26, cup: 1 }
	]);
});

it('of colours a reading belongs to the cup that it was said of, from its own combining', () => {
	const colour = (name: string) => ({
		...layer(50, [0, 0, 0, 0]),
		name,
		massG: 50,
		startTempC: 23,
		colours: []
	});
	const steps = benchSteps({ ...plan, cups: [colour('white'), colour('red')] });
	const at = (s: number, e: object) => ({ id: `${s}`, atMs: s * 1000, ...e }) as PourEvent;
	const events = [
		at(100, { kind: 'step-done', stepId: 'combine' }),
		at(120, { kind: 'temp-read', tempC: 24 }),
		// not combined yet
		at(130, { kind: 'temp-read', tempC: 24, cup: 1 }),
		at(160, { kind: 'step-done', stepId: 'combine-1' }),
		at(200, { kind: 'temp-read', tempC: 25, cup: 1 }),
		// no such cup
		at(210, { kind: 'temp-read', tempC: 25, cup: 7 })
	];
	expect(reducePour(steps, events).temps).toEqual([
		{ timeS: 20, tempC: 24, cup: 0 },
		{ timeS: 40, tempC: 25, cup: 1 }
	]);
});
