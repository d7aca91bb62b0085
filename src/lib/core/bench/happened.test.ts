import { describe, expect, it } from 'vitest';
import type { PourPlan } from '../plan';
import { lessonPlan } from '../practice/lesson';
import { WORKSHOP_DEFAULTS } from '../workshop';
import {
	cutShort,
	cutShortOf,
	layerStories,
	mixedMassG,
	reducePour,
	shotMassG,
	stepsOf,
	type PourEvent
} from '.';

const T0 = 1.79e12;
const plan: PourPlan = lessonPlan(WORKSHOP_DEFAULTS);
let serial = 0;
const event = (s: number, e: object) =>
	({
		id: `00000000-0000-4000-8000-${String(++serial).padStart(12, '0')}`,
		atMs: T0 + s * 1000,
		...e
	}) as PourEvent;
const done = (stepId: string, s: number) => event(s, { kind: 'step-done', stepId });

describe('waits', () => {
	const coated: PourPlan = { ...plan, release: { name: 'Mist', kind: 'silicone spray', flashOffS: 300 } };
	const steps = stepsOf(coated);
	const at = steps.findIndex((s) => s.id === 'flash-off');
	const state = reducePour(steps, [done('look', 0), done('coat', 10)]);
	it('five minutes that end after three seconds are asked about; nearly all of it is not', () => {
		expect(cutShort(coated, steps, state, at, T0 + 13_000)).toEqual({ waitedS: 3, wantedS: 300 });
		expect(cutShort(coated, steps, state, at, T0 + 285_000)).toBeUndefined();
		expect(cutShort(coated, steps, state, at, T0 + 400_000)).toBeUndefined();
		// a step that waits for nothing, and one whose wait has not begun
		expect(cutShort(coated, steps, state, 0, T0)).toBeUndefined();
		expect(cutShort(coated, steps, reducePour(steps, []), at, T0)).toBeUndefined();
	});
	it('and are marked by what was noted, whoever ended them', () => {
		const whole = reducePour(steps, [done('look', 0), done('coat', 10), done('flash-off', 13)]);
		expect(cutShortOf(coated, steps, whole)).toEqual({ 'flash-off': { waitedS: 3, wantedS: 300 } });
		const kept = reducePour(steps, [done('look', 0), done('coat', 10), done('flash-off', 320)]);
		expect(cutShortOf(coated, steps, kept)).toEqual({});
	});
});

describe('what a shot weighed', () => {
	const steps = stepsOf(plan);
	it('is what stands in the log where it was weighed, and the plan where it was not', () => {
		const weighed = (id: string, massG: number) => event(1, { kind: 'weighed', stepId: id, massG });
		const of = (...events: PourEvent[]) => mixedMassG(plan, steps, reducePour(steps, events));
		expect(of()).toBe(shotMassG(plan));
		expect(of(weighed('measure-a', plan.a.massG + 7))).toBeCloseTo(plan.massG + 7, 9);
		expect(of(weighed('measure-a', plan.a.massG + 7), weighed('measure-b', plan.b.massG - 3))).toBeCloseTo(
			plan.massG + 4,
			9
		);
	});
});

describe('layers as they went', () => {
	const layer = {
		a: { massG: 30, volumeMl: 27 },
		b: { massG: 27, volumeMl: 27 },
		thicknessMm: 1,
		potLifeS: 160,
		lockS: 70,
		gelS: 190,
		recoatFromS: 190,
		recoatUntilS: 620,
		serves: 'detail'
	};
	const rolled: PourPlan = { ...plan, pot: undefined, layers: [layer, layer, layer] };
	it('intervals against plan; one that came too late, and one too early, is told', () => {
		const story = [
			done('combine', 0),
			done('pour-0', 60),
			done('roll-0', 140),
			done('combine-1', 700),
			done('pour-1', 760),
			done('combine-2', 800),
			done('pour-2', 830)
		];
		const [first, second, third] = layerStories(rolled, reducePour(stepsOf(rolled), story));
		expect(first).toMatchObject({ pouredAfterS: 60, rolledS: 80, nextAfterS: 700, missed: 'late' });
		expect(second).toMatchObject({ pouredAfterS: 60, nextAfterS: 70, missed: 'early' });
		expect(second).not.toHaveProperty('rolledS');
		expect(third).not.toHaveProperty('nextAfterS');
		expect(layerStories(plan, reducePour(stepsOf(plan), []))).toEqual([]);
	});
});
