import type { Project, Starts } from './project';
import { solving, type Progress } from './solve';

/** How long it is worked on: so many orders and branches, or else so long by a clock that is handed in. */
export interface Budget {
	iterations?: number | undefined;
	budgetMs?: number | undefined;
	/** A clock, ms; only asked where there is a budget in time. */
	nowMs?: (() => number) | undefined;
}

/** A schedule, or why there is none. */
export interface Schedule {
	status: 'feasible' | 'infeasible' | 'unknown';
	/** Start of each activity by its id, whole s; empty where none was found. */
	starts: Record<string, number>;
	/** End of the last, s. */
	finishS: number | null;
	/** No schedule ends before this, s; nothing where there is none. */
	lowerBoundS: number | null;
	/** Seconds late, by weight; and no schedule has fewer than the bound. */
	lateWeightedS: number | null;
	lateBoundS: number | null;
	/** Nothing better exists; of an infeasible one: that it is. */
	proven: boolean;
	/** A few activities that cannot hold together. */
	conflict?: string[];
	iterations: number;
}

/** The clock is asked after so many steps at most, and sooner while steps are slow. */
const STEPS_A_LOOK = 16;

/**
 * Schedule of a project within a budget: least seconds late first, then the earliest end.
 * With `iterations` the same seed gives the same schedule; more of either never makes it worse.
 * @param like starts whose order is tried first
 * @example
 * schedule({ resources: [{ name: 'hands', capacity: 1 }], activities: [
 *   { id: 'mix', durationS: 60, needs: [{ resource: 'hands', amount: 1 }] },
 *   { id: 'pour', durationS: 30, needs: [{ resource: 'hands', amount: 1 }], after: [{ id: 'mix', mostS: 20 }] }
 * ] }, 1, { iterations: 10 }); // { status: 'feasible', finishS: 90, lowerBoundS: 90, proven: true }
 */
export function schedule(
	project: Project,
	seed: number,
	{ iterations, budgetMs, nowMs }: Budget,
	like?: Starts
): Schedule {
	const untilMs = iterations === undefined && nowMs ? nowMs() + (budgetMs ?? 0) : Infinity;
	const work = solving(project, seed, like);
	let known: Progress;
	for (let step = 1; ; step++) {
		const next = work.next();
		known = next.value;
		if (next.done || (iterations !== undefined && known.iterations >= iterations)) break;
		if (nowMs && (step < STEPS_A_LOOK || step % STEPS_A_LOOK === 0) && nowMs() >= untilMs) break;
	}
	return told(project, known);
}

/** What is known, by the names of the activities. */
export function told(project: Project, known: Progress): Schedule {
	const { startS, value } = known;
	return {
		status: known.status,
		starts: startS ? Object.fromEntries(project.activities.map((a, i) => [a.id, startS[i]!])) : {},
		finishS: value?.finishS ?? null,
		lowerBoundS: known.status === 'infeasible' ? null : known.bound.finishS,
		lateWeightedS: value?.lateS ?? null,
		lateBoundS: known.status === 'infeasible' ? null : known.bound.lateS,
		proven: known.proven,
		...(known.conflict && { conflict: [...known.conflict] }),
		iterations: known.iterations
	};
}
