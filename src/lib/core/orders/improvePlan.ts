import { solving, type Starts } from '../schedule';
import { projectAt } from './planFrom';
import type { Workshop } from './snapshot';

/** How far a search for a better plan has come. */
export interface PlanProgress {
	/** Seconds late by weight, and the end of the last, ms since 1970; nothing is better than the bounds. */
	lateWeightedS: number;
	finishMs: number;
	lateBoundS: number;
	boundMs: number;
	/** Orders of pulls that were looked at. */
	looked: number;
	/** Nothing better exists. */
	proven: boolean;
	startsMs: Record<string, number>;
}

/**
 * Looks for a better plan from one that stands, one order of pulls a step; whoever asks ends it when it is good enough.
 * Moulds take their pulls in the order in which they do now, and cures are those of now: what comes out is checked by the
 * workshop against the hours at which it falls.
 * @param startsMs of the plan that stands, ms since 1970
 * @yields what is known after every step; never worse than before
 * @example
 * improving(ammonites, {}, 1).next().value.looked; // 1
 */
export function* improving(
	workshop: Workshop,
	startsMs: Starts,
	seed: number
): Generator<PlanProgress, void> {
	const like = Object.fromEntries(
		Object.entries(startsMs).map(([id, ms]) => [id, Math.round((ms - workshop.nowMs) / 1000)])
	);
	const { made } = projectAt(workshop, like);
	const ids = made.about.map((a) => a.id);
	const at = new Map(made.project.activities.map((a, i) => [a.id, i]));
	const work = solving(made.project, seed, like);
	for (let step = work.next(); ; step = work.next()) {
		const { startS, value, bound, iterations, proven } = step.value;
		if (startS && value)
			yield {
				lateWeightedS: value.lateS,
				finishMs: workshop.nowMs + value.finishS * 1000,
				lateBoundS: bound.lateS,
				boundMs: workshop.nowMs + bound.finishS * 1000,
				looked: iterations,
				proven,
				startsMs: Object.fromEntries(ids.map((id) => [id, workshop.nowMs + startS[at.get(id)!]! * 1000]))
			};
		if (step.done) return;
	}
}
