import type { PourPlan } from '../plan/pourPlan';
import type { PourState } from './reduce';
import { cupStep, parseStepId, type BenchStep } from './steps';

/** How the work stands against the clock, worked out from now and from what is still to do. */
export interface Pace {
	/** Seconds after its cup was combined by which the step at hand ends: as long as it was planned to take from its own
	 * beginning, but never past the moment from which the rest no longer fits. */
	deadlineS: number;
	/** What is left of the usable pot life once everything still to do is done as planned; less than nothing is too late. */
	slackS: number;
}

/**
 * The pace of the step at hand. Time that was lost in a step before counts: it comes off the slack, not off the steps
 * that follow.
 * @param steps those of the pour, with their times as readings have them now
 * @param elapsedS since the cup of this step was combined
 * @param usableS of that cup, as readings have it now
 * @example
 * const steps = benchSteps(planOf());
 * const state = reducePour(
 *   steps,
 *   doneAt({ look: -60, air: -50, shake: -40, 'measure-b': -30, 'measure-a': -20, combine: 0 })
 * );
 * paceOf(planOf(), steps, state, 50, 127)?.slackS; // 25
 */
export function paceOf(
	plan: Pick<PourPlan, 'cups'>,
	steps: readonly BenchStep[],
	state: Pick<PourState, 'current' | 'doneAtMs'>,
	elapsedS: number,
	usableS: number
): Pace | undefined {
	const step = steps[state.current];
	if (!step || !(step.kind === 'timed' || step.kind === 'pump')) return undefined;
	const timed = steps.filter((s) => (s.kind === 'timed' || s.kind === 'pump') && s.layer === step.layer);
	const planned = timed.map((s, i) => Math.max(0, (s.deadlineS ?? 0) - (timed[i - 1]?.deadlineS ?? 0)));
	const at = timed.findIndex((s) => s.id === step.id);
	const combinedMs = state.doneAtMs[cupStep('combine', step.layer ?? 0)];
	const before = timed[at - 1];
	const beganMs = before ? state.doneAtMs[before.id] : combinedMs;
	if (combinedMs === undefined || beganMs === undefined) return undefined;
	const beganS = (beganMs - combinedMs) / 1000;
	const afterS = planned.slice(at + 1).reduce((sum, s) => sum + s, 0);
	// what waits for a temperature is done when that is reached, whenever it was begun
	const waits = plan.cups !== undefined && parseStepId(step.id)?.name === 'pour-together';
	const ownS = waits ? (step.deadlineS ?? beganS) : beganS + planned[at]!;
	return {
		deadlineS: Math.min(ownS, usableS - afterS),
		slackS: usableS - afterS - Math.max(ownS, elapsedS)
	};
}
