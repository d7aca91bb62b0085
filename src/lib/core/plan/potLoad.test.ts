import { describe, expect, it } from 'vitest';
import { benchSteps, clocksOf, correctedPlan, reducePour, withSteps } from '../bench';
import { planOf } from '../bench/plan.testing';
import { doneAt } from '../examples.testing';
import { inPotLoad, NEXT_CUP_S } from './potLoad';
import { pourPlan, type PourPlan } from './pourPlan';

const pot = {
	vesselId: 'v',
	name: 'Pot 1',
	targetGaugeKpa: 275,
	ratedGaugeKpa: 550,
	bubbleDiameterRatio: 0.6
};
const steps: PourPlan['steps'] = [
	{ name: 'Mix', durationS: 40, role: 'mix' },
	{ name: 'Pour', durationS: 20, role: 'pour' },
	{ name: 'Load and close', durationS: 15, role: 'load' },
	{ name: 'Pump up', durationS: 25, role: 'pump' }
];
const potted = (number: number, more: Partial<PourPlan> = {}) =>
	planOf({
		pot,
		steps,
		moulds: [{ id: `m${number}`, number, label: '', copies: 1 }],
		holdUntilS: 600,
		demouldS: 900,
		...more
	});
const [first, second] = inPotLoad(
	[potted(3), potted(7, { masterName: 'Bollard', holdUntilS: 1200 })],
	'load-1'
) as [PourPlan, PourPlan];

describe('two pours of one closing', () => {
	it('the first waits for the second: its cup in between, and one pot for both', () => {
		expect(first.steps.map((s) => [s.role, s.durationS])).toEqual([
			['mix', 40],
			['pour', 20],
			// the next cup is combined, mixed and poured: 20 + 40 + 20
			['others', NEXT_CUP_S + 60],
			['load', 15],
			['pump', 25]
		]);
		expect(second.steps).toEqual(steps);
		expect(first.potLoad).toEqual({
			id: 'load-1',
			place: 0,
			others: [{ masterName: 'Bollard', moulds: ['M7'] }]
		});
		expect(second.potLoad!.place).toBe(1);
	});

	it('the pot is opened once, when the slowest is firm, by the clocks of both', () => {
		// poured at 60 and 140 s; the second is firm 1200 s after: 1340 s after the first was combined
		expect(first.holdUntilS).toBe(1340 - 60);
		expect(second.holdUntilS).toBe(1200);
		expect(first.demouldS).toBe(1280);
		const opens = (plan: PourPlan, combinedS: number) => {
			const kept = withSteps(plan);
			const timed = kept.bench.filter((s) => s.kind === 'timed' || s.kind === 'pump').map((s) => s.id);
			let atS = combinedS;
			const done: Record<string, number> = { combine: combinedS };
			plan.steps.forEach((s, i) => (done[timed[i]!] = atS += s.durationS));
			const clock = clocksOf('p', kept, reducePour(kept.bench, doneAt(done))).find((c) => c.kind === 'hold')!;
			return clock.endsAtMs;
		};
		expect(opens(first, 0)).toBe(opens(second, 60 + NEXT_CUP_S));
	});

	it('the bench says which is poured meanwhile, before the lid is closed, within its own pot life', () => {
		const bench = benchSteps(first);
		const at = bench.findIndex((s) => s.role === 'others');
		expect(bench[at]!.title).toBe('Pour M7 too');
		expect(bench[at]!.detail).toContain('Bollard');
		expect(bench[at - 1]!.role).toBe('pour');
		expect(bench[at + 1]!.role).toBe('load');
		expect(bench[at]!.deadlineS).toBe(60 + NEXT_CUP_S + 60);
	});

	it('readings lengthen the time under pressure, and never shorten it for the other', () => {
		const times = { potLifeS: 150, usableS: 127, demouldS: 900 };
		expect(correctedPlan(first, { ...times, holdUntilS: 500 }).holdUntilS).toBe(1280);
		expect(correctedPlan(first, { ...times, holdUntilS: 1500 }).holdUntilS).toBe(1500);
		expect(correctedPlan(potted(3), { ...times, holdUntilS: 500 }).holdUntilS).toBe(500);
	});

	it('is a plan as it is kept, and what goes into no pot is refused', () => {
		expect(pourPlan.parse(first).potLoad).toEqual(first.potLoad);
		const { pot: _none, ...open } = potted(3);
		expect(() => inPotLoad([potted(7), open], 'x')).toThrow(RangeError);
	});
});
