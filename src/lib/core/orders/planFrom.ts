import { breaches, type Breach, type Starts } from '../schedule';
import { cureAtS } from './cureAt';
import { planOf, type OrdersPlan } from './planOrders';
import { potLoadsOf } from './potLoads';
import { openingsOf, projectOf, type OrdersProject } from './project';
import { pullsWanted, type PullList } from './pulls';
import type { Workshop } from './snapshot';

/** The project as starts stand: moulds take their pulls in that order, and each cures for the hours at which it does. */
export function projectAt(workshop: Workshop, starts: Starts): { made: OrdersProject; list: PullList } {
	const wanted = pullsWanted(workshop);
	const at = (id: string) => starts[`${id}/prep`] ?? Infinity;
	const pulls = wanted.pulls.toSorted((a, b) => at(a.id) - at(b.id));
	// starts that tell of a closing for which there is no room, or no time, tell of none
	const { joinable, kept } = potLoadsOf(workshop, pulls, starts);
	const list = { ...wanted, pulls, joinable, loads: kept };
	const openings = openingsOf(workshop);
	const cureS = new Map(
		list.pulls.map((p) => {
			const fromS = starts[`${p.id}/cure`];
			return [
				p.id,
				fromS === undefined ? Math.round(p.recipe.cureS.day) : Math.ceil(cureAtS(p.recipe, fromS, openings))
			];
		})
	);
	return { made: projectOf(workshop, list, { cureS }, openings), list };
}

/**
 * A plan from starts that somebody else worked out: checked against the workshop as it stands, and told as any other.
 * @param startsMs ms since 1970, by activity
 * @param before starts of the plan that is followed, for what moves
 * @returns what it breaks where it does not hold
 * @example
 * planFrom(ammonites, {}, {}).ok; // false
 */
export function planFrom(
	workshop: Workshop,
	startsMs: Starts,
	before: Starts
): { ok: true; plan: OrdersPlan } | { ok: false; breaches: Breach[] } {
	const starts = Object.fromEntries(
		Object.entries(startsMs).map(([id, ms]) => [id, Math.round((ms - workshop.nowMs) / 1000)])
	);
	const { made, list } = projectAt(workshop, starts);
	const given = Object.fromEntries(
		made.project.activities.map((a) => [a.id, starts[a.id] ?? a.pinnedS ?? -1])
	);
	const wrong = breaches(made.project, given);
	if (wrong.length > 0) return { ok: false, breaches: wrong };
	const ends = made.project.activities.filter((a) => !a.background).map((a) => given[a.id]! + a.durationS);
	const lateS = made.project.activities.reduce(
		(sum, a) =>
			sum + (a.dueS === undefined ? 0 : (a.weight ?? 1) * Math.max(0, given[a.id]! + a.durationS - a.dueS)),
		0
	);
	const found = {
		status: 'feasible' as const,
		starts: given,
		finishS: Math.max(0, ...ends),
		lowerBoundS: 0,
		lateWeightedS: lateS,
		lateBoundS: 0,
		proven: false,
		iterations: 0
	};
	return { ok: true, plan: planOf(workshop, list, made, found, before) };
}
