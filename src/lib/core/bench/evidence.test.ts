import { describe, expect, it } from 'vitest';
import { rankCauses } from '../faults';
import { lessonPlan } from '../practice';
import { WORKSHOP_DEFAULTS } from '../workshop';
import { type PourPlan } from '../plan/pourPlan';
import { benchSteps, evidenceOf, partHeat, reducePour, type PourEvent } from '.';

const T0 = 1.79e12;
const plan: PourPlan = {
	...lessonPlan(WORKSHOP_DEFAULTS),
	a: { massG: 100, volumeMl: 92 },
	b: { massG: 90, volumeMl: 92 },
	massG: 190,
	potLifeS: 150,
	holdUntilS: 400,
	demouldS: 900,
	steps: [
		{ name: 'Mix', durationS: 40, role: 'mix' },
		{ name: 'Pour', durationS: 20, role: 'pour' },
		{ name: 'Load and close', durationS: 20, role: 'load' },
		{ name: 'Pump up', durationS: 12, role: 'pump' }
	],
	pot: { name: 'Pot', targetGaugeKpa: 300, ratedGaugeKpa: 400, bubbleDiameterRatio: 0.63 },
	closing: [{ mould: 'M1', how: 'Boards and bands.', little: 'Flash.', much: 'Thin.' }],
	release: { name: 'Spray', kind: 'spray', flashOffS: 300 }
};
let serial = 0;
const id = () => `00000000-0000-4000-9000-${String(++serial).padStart(12, '0')}`;
const at = (atS: number) => ({ id: id(), atMs: T0 + atS * 1000 });
const done = (stepId: string, atS: number): PourEvent => ({ ...at(atS), kind: 'step-done', stepId });
const weighed = (stepId: string, massG: number, atS = -20): PourEvent => ({
	...at(atS),
	kind: 'weighed',
	stepId,
	massG
});
/** A pour as planned; steps named in `times` at their own second after combining, or not at all. */
function events(of: PourPlan, times: Record<string, number | undefined> = {}): PourEvent[] {
	const usual: Record<string, number> = {
		coat: -800,
		'flash-off': -470,
		combine: 0,
		'timed-0': 40,
		'timed-1': 60,
		'timed-2': 80,
		'timed-3': 92,
		release: 460,
		demould: 1020,
		inspect: 1100
	};
	return benchSteps(of).flatMap((s, i) => {
		const when = s.id in times ? times[s.id] : (usual[s.id] ?? -100 + i);
		return when === undefined ? [] : [done(s.id, when)];
	});
}
const layer = {
	a: { massG: 50, volumeMl: 46 },
	b: { massG: 45, volumeMl: 46 },
	thicknessMm: 1,
	potLifeS: 150,
	lockS: 60,
	gelS: 180,
	recoatFromS: 180,
	recoatUntilS: 600,
	serves: 'detail'
};
const evidence = (of: PourPlan, happened: PourEvent[], about = {}) =>
	evidenceOf(of, reducePour(benchSteps(of), happened), about);

describe('what the log of a pour holds', () => {
	it('of one that went as planned, by hand', () => {
		const e = evidence(plan, [
			...events(plan),
			weighed('measure-a', 102),
			weighed('measure-b', 90),
			{ ...at(-50), kind: 'air-read', roomTempC: 25, relativeHumidity: 60, mouldTempC: 22 },
			{ ...at(92), kind: 'pressure-read', stepId: 'timed-3', gaugeKpa: 300 },
			{ ...at(200), kind: 'pressure-read', stepId: 'hold', gaugeKpa: 270 }
		]);
		expect(e).toMatchObject({
			chemistry: 'urethane',
			roomTempC: 25,
			relativeHumidity: 60,
			mouldTempC: 22,
			mixS: 40,
			mixPlannedS: 40,
			pouredS: 60,
			potLifeS: 150,
			reachedS: 92,
			lowestShare: 0.9,
			pot: true,
			stirred: true,
			looked: true,
			closed: true
		});
		// 102 to 90 where 100 to 90 is meant
		expect(e.ratioErrorPercent).toBeCloseTo(2, 6);
		// 25 °C and 60 %: dew at 16.7 °C (WMO coefficients, models)
		expect(e.dewMarginC).toBeCloseTo(22 - 16.7, 1);
		// gel is the hold less its quarter: 320 s; held from 60 to 460 s
		expect(e.releasedEarlyS).toBeCloseTo(320 - 400, 6);
		// out 960 s after it was poured, 900 s were planned
		expect(e.demouldEarlyShare).toBeCloseTo(1 - 960 / 900, 9);
		// 330 s of 300 s
		expect(e.coatDryShare).toBeCloseTo(1.1, 9);
	});

	it('what was not noted is left out, and counts neither way', () => {
		const e = evidence(plan, [done('combine', 0)]);
		for (const key of [
			'ratioErrorPercent',
			'mixS',
			'pouredS',
			'reachedS',
			'lowestShare',
			'releasedEarlyS',
			'demouldEarlyShare',
			'coatDryShare',
			'layerLateS',
			'catalystRatio',
			'tinDays'
		])
			expect(e, key).not.toHaveProperty(key);
		// air that nobody read is not known, whatever was planned
		for (const key of ['relativeHumidity', 'dewMarginC', 'roomTempC', 'mouldTempC'])
			expect(e, key).not.toHaveProperty(key);
		// with the clock on, steps before it that are not noted were left out
		expect([e.stirred, e.looked, e.closed]).toEqual([false, false, false]);
		const before = evidence(plan, []);
		for (const key of ['stirred', 'looked', 'closed']) expect(before).not.toHaveProperty(key);
	});

	it('other books’ figures are taken over', () => {
		const about = { tinDays: 200, tinOpenings: 9, mouldPulls: 41, mouldWear: 3 };
		expect(evidence(plan, [], about)).toMatchObject(about);
	});

	it('of several cups the ratio that is furthest off counts', () => {
		const rolled: PourPlan = { ...plan, pot: undefined, layers: [layer, layer, layer] };
		const e = evidence(rolled, [
			...events(rolled, { 'combine-1': 300, 'combine-2': 800 }),
			weighed('measure-a', 50.2),
			weighed('measure-b', 45),
			weighed('measure-a-1', 46, 250),
			weighed('measure-b-1', 45, 240)
		]);
		expect(e.ratioErrorPercent).toBeCloseTo(-8, 6);
		expect(e.layers).toBe(3);
		expect(e).not.toHaveProperty('pouredS');
	});

	it('a layer past its window, counted from the pour of the one below', () => {
		const rolled: PourPlan = { ...plan, pot: undefined, layers: [layer, layer, layer] };
		const late = (second: number, third: number) =>
			evidence(rolled, events(rolled, { 'pour-0': 60, 'pour-1': second, 'pour-2': third })).layerLateS;
		expect(late(360, 660)).toBeCloseTo(-300, 9);
		expect(late(360, 1060)).toBeCloseTo(100, 9);
		const brushed = { ...rolled, layers: rolled.layers!.map((l) => ({ ...l, way: 'brush' as const })) };
		expect(evidence(brushed, []).layers).toBe(0);
	});

	it('colours poured together: each cup is mixed for its own share of the mixing', () => {
		const cup = (name: string) => ({
			name,
			a: { massG: 50, volumeMl: 46 },
			b: { massG: 45, volumeMl: 46 },
			massG: 95,
			startTempC: 21,
			potLifeS: 160,
			colours: []
		});
		const swirled: PourPlan = {
			...plan,
			pot: undefined,
			cups: [cup('green'), cup('white')],
			steps: [
				{ name: 'Mix 2 cups', durationS: 80, role: 'mix' },
				{ name: 'Pour', durationS: 20, role: 'pour' }
			]
		};
		const mixes = benchSteps(swirled).filter((s) => s.role === 'mix');
		expect(mixes.map((s) => s.deadlineS)).toEqual([40, 80]);
		expect(benchSteps(swirled).find((s) => s.id === 'pour-together')!.deadlineS).toBe(100);
		const e = evidence(swirled, events(swirled, { 'mix-0': 38, 'combine-1': 41, 'mix-1': 80 }));
		expect(e).toMatchObject({ mixS: 38, mixPlannedS: 40 });
	});

	it('catalyst against its sheet, and heat by the part model', () => {
		const polyester: PourPlan = {
			...plan,
			chemistry: 'polyester',
			cure: {
				chemistry: 'polyester',
				demouldS: 50_400,
				character: 'gradual',
				catalyst: { percent: 2, referencePercent: 1, referenceGelS: 1080 }
			}
		};
		expect(evidence(polyester, []).catalystRatio).toBe(2);
		const heat = partHeat(polyester)!;
		expect(evidence(polyester, []).peakC).toBe(heat.peakC);
		expect(heat.peakC).toBeGreaterThan(heat.faceC);
		expect(heat.faceC).toBeGreaterThan(plan.roomTempC);
		expect(partHeat({ ...plan, cure: undefined })).toBeUndefined();
		// out of the engine's range there is no heat to speak of
		expect(partHeat({ ...plan, mouldTempC: 900 })).toBeUndefined();
	});
});

describe('from the log to the cause', () => {
	const first = (fault: Parameters<typeof rankCauses>[0], happened: PourEvent[], about = {}) =>
		rankCauses(fault, evidence(plan, happened, about))[0]!;
	const weighedWell = [weighed('measure-a', 100), weighed('measure-b', 90)];

	it('four times what is allowed: soft, since the ratio is off', () => {
		const cause = first('soft', [...events(plan), weighed('measure-a', 92), weighed('measure-b', 90)]);
		expect(cause.id).toBe('ratio-off');
		expect(cause.clues[0]!.words).toBe('ratio off by 8.0 %, 2.0 % is allowed');
	});
	it('half the mixing: soft, since it is undermixed', () => {
		expect(first('soft', [...weighedWell, ...events(plan, { 'timed-0': 18 })]).id).toBe('undermixed');
	});
	it('in the mould after its pot life: a short shot, since it came too late', () => {
		const slow = events(plan, { 'timed-1': 158, 'timed-2': 180, 'timed-3': 195 });
		const cause = first('short-shot', [...weighedWell, ...slow]);
		expect(cause.id).toBe('poured-late');
		expect(cause.clues[0]!.words).toMatch(/2:38.*2:30/);
	});
	it('at pressure only when it had thickened: bubbles inside', () => {
		const late = events(plan, { 'timed-2': 150, 'timed-3': 170 });
		const gauge: PourEvent = { ...at(170), kind: 'pressure-read', stepId: 'timed-3', gaugeKpa: 300 };
		expect(first('inner-bubbles', [...weighedWell, ...late, gauge]).id).toBe('pressure-late');
	});
	it('let out long before gel: bubbles inside', () => {
		const early: PourEvent[] = [
			...events(plan, { release: 200 }),
			{ ...at(92), kind: 'pressure-read', stepId: 'timed-3', gaugeKpa: 300 },
			{ ...at(199), kind: 'pressure-read', stepId: 'release', gaugeKpa: 296 }
		];
		expect(first('inner-bubbles', [...weighedWell, ...early]).id).toBe('pressure-lost');
	});
	it('out after half of its time: warped', () => {
		expect(first('warp', [...weighedWell, ...events(plan, { demould: 510, inspect: 600 })]).id).toBe(
			'early-demould'
		);
	});
	it('a release that was still wet: pits on the face', () => {
		const wet = events(plan, { coat: -300, 'flash-off': -170 });
		const air: PourEvent = {
			...at(-50),
			kind: 'air-read',
			roomTempC: 23,
			relativeHumidity: 35,
			mouldTempC: 26
		};
		const found = rankCauses('face-bubbles', evidence({ ...plan, traps: 0 }, [...wet, air]));
		const dry = rankCauses('face-bubbles', evidence({ ...plan, traps: 0 }, [...events(plan), air]));
		const share = (list: typeof found) => list.find((c) => c.id === 'wet-release')!.likelihood;
		expect(share(found)).toBeGreaterThan(3 * share(dry));
	});
});
