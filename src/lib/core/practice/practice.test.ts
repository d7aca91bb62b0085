import { describe, expect, it } from 'vitest';
import { simulatedShop, type DeviceCommand } from '../devices';
import { type PourPlan } from '../plan/pourPlan';
import { benchSteps, reducePour, type PourEvent } from '../bench';
import { WORKSHOP_DEFAULTS } from '../workshop';
import {
	drawSlips,
	lateS,
	lessonPlan,
	practiceScore,
	groundTruth,
	shopChange,
	SLIP_NAMES,
	slipsFor,
	type SlipName
} from '.';

const plan = lessonPlan(WORKSHOP_DEFAULTS);
const steps = benchSteps(plan);
const T0 = 1.79e12;
let n = 0;
const id = () => `00000000-0000-4000-8000-${String(++n).padStart(12, '0')}`;

interface Run {
	slips?: SlipName[];
	/** Moments after combining at which steps are done, s. */
	at?: Record<string, number>;
	aG?: number;
	weighs?: boolean;
	tops?: boolean;
}
const pumpId = steps.find((s) => s.kind === 'pump')!.id;

function score({ slips = [], at = {}, aG = plan.a.massG, weighs = true, tops = false }: Run) {
	const change = shopChange(slips);
	const truth = groundTruth(plan, change);
	const shop = simulatedShop(plan, { seed: 1, scaleResolutionG: 0.1 }, change);
	const filledS = at['timed-1'] ?? 60;
	const when: Record<string, number> = {
		'timed-0': 38,
		'timed-1': filledS,
		'timed-2': filledS + 15,
		[pumpId]: filledS + 35,
		release: filledS + truth.gelS + 120,
		demould: filledS + truth.demouldS + 60,
		inspect: filledS + truth.demouldS + 90,
		...at
	};
	const event = (s: number, e: object) => ({ id: id(), atMs: T0 + s * 1000, ...e }) as PourEvent;
	const events = [
		...steps.map((s, i) =>
			event(s.id === 'combine' ? 0 : (when[s.id] ?? -200 + i), { kind: 'step-done', stepId: s.id })
		),
		...(weighs
			? [
					event(-20, { kind: 'weighed', stepId: 'measure-b', massG: plan.b.massG }),
					event(-10, { kind: 'weighed', stepId: 'measure-a', massG: aG })
				]
			: []),
		event(when[pumpId]!, { kind: 'pressure-read', stepId: pumpId, gaugeKpa: plan.pot!.targetGaugeKpa }),
		event(when['inspect']! + 1, { kind: 'finished' })
	];
	const pot = (s: number, to: 'pump' | 'hold' | 'release'): DeviceCommand => ({
		id: id(),
		atMs: T0 + s * 1000,
		kind: 'pot',
		to,
		targetGaugeKpa: plan.pot!.targetGaugeKpa
	});
	const commands = [
		pot(when[pumpId]! - 30, 'pump'),
		...(tops ? [] : [pot(when[pumpId]!, 'hold')]),
		pot(when['release']!, 'release')
	];
	return practiceScore({ plan, steps, state: reducePour(steps, events), truth, shop, commands });
}

describe('a practice pour', () => {
	it('done as it should be is a hundred and a good cast', () => {
		expect(score({})).toMatchObject({ points: 100, grade: 'good', faults: [] });
	});
	it('loses time towards the end of the real pot life, all of it past that', () => {
		const truth = groundTruth(plan, {});
		const half = score({ at: { [pumpId]: (truth.usableS + truth.potLifeS) / 2 } });
		expect(half.marks[0]!.points).toBe(20);
		expect(score({ at: { 'timed-1': truth.potLifeS + 5 } })).toMatchObject({ grade: 'scrap' });
	});
	it('a warm room ends the life sooner: about half for ten degrees, so a third less for six', () => {
		const cool = groundTruth(plan, {}).potLifeS;
		const warm = groundTruth(plan, shopChange(['warm room'])).potLifeS;
		expect(warm / cool).toBeGreaterThan(0.5);
		expect(warm / cool).toBeLessThan(0.8);
	});
	it('a ratio past tolerance is soft; one that nobody weighed counts half', () => {
		const off = score({ aG: plan.a.massG * 1.06 });
		expect(off.grade).toBe('scrap');
		expect(off.faults[0]).toMatchObject({ fault: 'soft' });
		expect(off.marks[1]!.points).toBe(0);
		expect(score({ weighs: false }).marks[1]!.points).toBe(15);
	});
	it('a pot that leaks lets the bubbles grow back unless it is topped up', () => {
		const left = score({ slips: ['leaking pot'] });
		expect(left.faults[0]).toMatchObject({ fault: 'inner-bubbles' });
		expect(left.grade).toBe('needs-work');
		expect(score({ slips: ['leaking pot'], tops: true }).grade).toBe('good');
	});
	it('opened before gel, or out of the mould too early: said with by how much', () => {
		expect(score({ at: { release: 100 } }).faults[0]!.because).toMatch(/before it had gelled/);
		expect(score({ at: { demould: 700 } }).faults.at(-1)!.because).toMatch(/before it was firm/);
	});
	it('on a damp day giving up is right and pouring foams', () => {
		expect(score({ slips: ['damp air'] }).faults[0]).toMatchObject({ fault: 'foam' });
		const change = shopChange(['damp air']);
		const shop = simulatedShop(plan, { seed: 1, scaleResolutionG: 1 }, change);
		const state = reducePour(steps, [{ id: id(), atMs: T0, kind: 'abandoned', reason: 'damp' }]);
		const asked = { plan, steps, state, truth: groundTruth(plan, change), shop, commands: [] };
		expect(practiceScore(asked)).toMatchObject({ points: 100, grade: 'good' });
		const dry = simulatedShop(plan, { seed: 1, scaleResolutionG: 1 });
		expect(practiceScore({ ...asked, shop: dry }).points).toBe(0);
	});
});

describe('slips', () => {
	it('are drawn without repeats and only where they can be', () => {
		const open: Pick<PourPlan, 'pot'> = {};
		expect(slipsFor(open)).not.toContain('leaking pot');
		for (const chance of [0, 0.5, 0.999]) {
			const drawn = drawSlips(plan, 3, () => chance);
			expect(new Set(drawn).size).toBe(3);
		}
		expect(drawSlips(plan, 99, () => 0.3)).toHaveLength(SLIP_NAMES.length);
	});
	it('change the shop together', () => {
		expect(shopChange(['warm room', 'leaking pot'])).toEqual({ warmerByC: 6, leakPerMin: 0.12 });
		expect(lateS(['late start', 'warm room'])).toBe(30);
	});
});
