import { describe, expect, it } from 'vitest';
import type { PourPlan } from '../plan';
import { lessonPlan } from '../practice/lesson';
import { WORKSHOP_DEFAULTS } from '../workshop';
import { benchForecast } from './correct';
import { correctedPlan } from './corrected';
import { paceOf } from './pace';
import { reducePour } from './reduce';
import { stepsOf } from './steps/kept';
import { retimed } from './steps/times';
import type { PourEvent } from './events';

const T0 = 1.79e12;
const plan: PourPlan = {
	...lessonPlan(WORKSHOP_DEFAULTS),
	pot: undefined,
	steps: [
		{ name: 'Mix', durationS: 40, role: 'mix' },
		{ name: 'Pour', durationS: 20, role: 'pour' },
		{ name: 'Tap', durationS: 10, role: 'tap' }
	],
	usableS: 100
};
const steps = stepsOf(plan);
let serial = 0;
const done = (stepId: string, s: number): PourEvent => ({
	id: `00000000-0000-4000-8000-${String(++serial).padStart(12, '0')}`,
	atMs: T0 + s * 1000,
	kind: 'step-done',
	stepId
});
const before = steps
	.slice(
		0,
		steps.findIndex((s) => s.id === 'combine')
	)
	.map((s) => done(s.id, -100));
const pace = (events: PourEvent[], elapsedS: number, usableS = 100) =>
	paceOf(plan, steps, reducePour(steps, [...before, done('combine', 0), ...events]), elapsedS, usableS);

describe('slack and deadlines from now', () => {
	it('as planned: slack is what is left after all that is to do', () => {
		expect(pace([], 5)).toEqual({ deadlineS: 40, slackS: 30 });
		expect(pace([done('timed-0', 40)], 45)).toEqual({ deadlineS: 60, slackS: 30 });
	});
	it('lost time comes off the slack, second by second, and not off the steps that follow', () => {
		expect(pace([], 55)).toEqual({ deadlineS: 40, slackS: 15 });
		// mixed 25 s too long: the pour still has its 20 s, and 5 s are left
		expect(pace([done('timed-0', 65)], 66)).toEqual({ deadlineS: 85, slackS: 5 });
		expect(pace([done('timed-0', 65)], 92)!.slackS).toBe(-2);
	});
	it('time that was won is slack', () => {
		expect(pace([done('timed-0', 25)], 26)).toEqual({ deadlineS: 45, slackS: 45 });
	});
	it('a reading that shortens the pot life brings the deadline forward where the rest would not fit', () => {
		expect(pace([], 5, 60)).toEqual({ deadlineS: 30, slackS: -10 });
	});
	it('nothing before the clock runs, nothing after it', () => {
		expect(paceOf(plan, steps, reducePour(steps, []), 0, 100)).toBeUndefined();
		const all = steps.map((s, i) => done(s.id, i));
		expect(paceOf(plan, steps, reducePour(steps, all), 500, 100)).toBeUndefined();
	});
});

describe('colours that are poured by temperature', () => {
	const half = (a: { massG: number; volumeMl: number }) => ({ massG: a.massG / 2, volumeMl: a.volumeMl / 2 });
	const cup = {
		a: half(plan.a),
		b: half(plan.b),
		massG: plan.massG / 2,
		startTempC: plan.startTempC,
		potLifeS: plan.potLifeS,
		warmS: 90,
		colours: []
	};
	const swirl: PourPlan = {
		...plan,
		steps: [
			{ name: 'Mix 2 cups', durationS: 60, role: 'mix' },
			{ name: 'Pour', durationS: 20, role: 'pour' }
		],
		usableS: 200,
		pourTempC: 30,
		cups: [
			{ ...cup, name: 'green' },
			{ ...cup, name: 'white' }
		]
	};
	const kept = stepsOf(swirl);
	const at = (plan: PourPlan) => retimed(kept, plan).find((s) => s.id === 'pour-together')!.deadlineS!;
	it('have one deadline, and readings move it: a cooler room puts it off', () => {
		const air = (roomTempC: number) => ({ roomTempC, relativeHumidity: 45, mouldTempC: roomTempC });
		const [warm, cold] = [27, 15].map((t) => benchForecast(swirl, { air: air(t), temps: [] })!);
		expect(warm!.cups!.map((c) => c.warmS)).toEqual([expect.any(Number), expect.any(Number)]);
		const [sooner, later] = [warm!, cold!].map((f) => at(correctedPlan(swirl, f)));
		expect(sooner!).toBeLessThan(later!);
		expect(correctedPlan(swirl, cold).cups![0]!.potLifeS).toBeGreaterThan(
			correctedPlan(swirl, warm).cups![0]!.potLifeS
		);
	});
});
