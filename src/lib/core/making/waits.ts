import { cutOf, type CutShort } from '../bench';
import type { MakingState } from './reduce';
import type { MakingStep } from '../mould';

/**
 * Whether ending a step at a moment cuts its wait short by enough to be asked about, and by how much.
 * @example
 * const steps = makingSteps(makingOf('one-piece'));
 * const waits = steps.findIndex((s) => s.waitS !== undefined);
 * makingCut(steps, { doneAtMs: { [steps[waits - 1]!.id]: 0 } }, waits, 60_000)?.waitedS; // 60
 */
export function makingCut(
	steps: readonly MakingStep[],
	state: Pick<MakingState, 'doneAtMs'>,
	index: number,
	atMs: number
): CutShort | undefined {
	const wantedS = steps[index]?.waitS;
	const before = steps[index - 1];
	const sinceMs = before && state.doneAtMs[before.id];
	return wantedS === undefined || sinceMs === undefined ? undefined : cutOf({ sinceMs, wantedS }, atMs);
}

/**
 * Waits of a making that were ended early, in the order of the steps.
 * @example
 * makingCuts(makingSteps(makingOf('one-piece')), { doneAtMs: {} }); // []
 */
export function makingCuts(
	steps: readonly MakingStep[],
	state: Pick<MakingState, 'doneAtMs'>
): (CutShort & { title: string })[] {
	return steps.flatMap((step, i) => {
		const atMs = state.doneAtMs[step.id];
		const cut = atMs === undefined ? undefined : makingCut(steps, state, i, atMs);
		return cut ? [{ ...cut, title: step.title }] : [];
	});
}
