import type { PourPlan } from '../plan/pourPlan';
import type { PourState } from './reduce';
import type { BenchStep } from './steps';

/** A wait that is ended with more than this to go is asked about once, s; and by more than this share of it. */
const ASKED_FROM_S = 20;
const ASKED_FROM_SHARE = 0.1;

/** A wait, as it was or is being cut short. */
export interface CutShort {
	waitedS: number;
	wantedS: number;
}

/**
 * How long a step waits, and since when: a coat that dries, a layer that gels, the hold, the cure.
 * Nothing for a step that waits for nothing, or before its wait began.
 * @example
 * const plan = planOf({ release: { name: 'Wax', kind: 'wax', flashOffS: 300 } });
 * const steps = benchSteps(plan);
 * waitOf(
 *   plan,
 *   steps,
 *   reducePour(steps, doneAt({ coat: 0 })),
 *   steps.findIndex((s) => s.id === 'flash-off')
 * )?.wantedS; // 300
 */
export function waitOf(
	plan: PourPlan,
	steps: readonly BenchStep[],
	state: Pick<PourState, 'doneAtMs' | 'pouredAtMs'>,
	index: number
): { sinceMs: number; wantedS: number } | undefined {
	const step = steps[index];
	if (!step) return undefined;
	if (step.kind === 'hold' || step.kind === 'cure') {
		if (state.pouredAtMs === undefined) return undefined;
		return { sinceMs: state.pouredAtMs, wantedS: step.kind === 'hold' ? plan.holdUntilS : plan.demouldS };
	}
	if (step.kind !== 'dry' || step.waitS === undefined) return undefined;
	const since = step.sinceStep ?? steps[index - 1]?.id;
	const sinceMs = since === undefined ? undefined : state.doneAtMs[since];
	return sinceMs === undefined ? undefined : { sinceMs, wantedS: step.waitS };
}

/**
 * Whether ending a step at a moment cuts its wait short by enough to be asked about, and by how much.
 * @example
 * const plan = planOf({ release: { name: 'Wax', kind: 'wax', flashOffS: 300 } });
 * const steps = benchSteps(plan);
 * cutShort(
 *   plan,
 *   steps,
 *   reducePour(steps, doneAt({ coat: 0 })),
 *   steps.findIndex((s) => s.id === 'flash-off'),
 *   Date.UTC(2026, 0, 1) + 3000
 * ); // { waitedS: 3, wantedS: 300 }
 */
export function cutShort(
	plan: PourPlan,
	steps: readonly BenchStep[],
	state: Pick<PourState, 'doneAtMs' | 'pouredAtMs'>,
	index: number,
	atMs: number
): CutShort | undefined {
	const wait = waitOf(plan, steps, state, index);
	return wait && cutOf(wait, atMs);
}

/**
 * A wait that is ended at a moment with so much to go that it is asked about; nothing when it is about over.
 * @example
 * cutOf({ sinceMs: 0, wantedS: 300 }, 3000); // { waitedS: 3, wantedS: 300 }
 */
export function cutOf(wait: { sinceMs: number; wantedS: number }, atMs: number): CutShort | undefined {
	const waitedS = Math.max(0, (atMs - wait.sinceMs) / 1000);
	const leftS = wait.wantedS - waitedS;
	if (leftS < ASKED_FROM_S || leftS < ASKED_FROM_SHARE * wait.wantedS) return undefined;
	return { waitedS, wantedS: wait.wantedS };
}
