import { follow, type Starts } from '../schedule';
import { potLoadsOf, type PlannedAlone } from './potLoads';
import { projectOf, type OrdersProject } from './project';
import type { PullList } from './pulls';
import {
	lateLines,
	lineOf,
	movedFrom,
	curesOf,
	pullsOf,
	settled,
	STAYS_MS,
	type Candidate,
	type Openings,
	type PlanBudget
} from './settled';
import type { PotLoad, Workshop } from './snapshot';

/** So many times at most it is tried what of new closings does no harm. */
const MOST_TRIALS = 40;

/**
 * The plan whose pulls share closings where that brings something: those that shared one before still do, unless that
 * makes anything later than it was; others join them.
 * @param list with what could share a closing at all
 */
export function withClosings(
	workshop: Workshop,
	list: PullList,
	openings: Openings,
	like: Starts,
	budget: PlanBudget
): Candidate {
	if (list.joinable?.size === 0) return settled(workshop, list, openings, like, budget);
	const turn = turnsOf(budget);
	const { kept } = potLoadsOf(workshop, list.pulls, like);
	const asBefore = settled(workshop, { ...list, loads: kept }, openings, like, turn());
	const before = { made: asBefore.made, found: { ...asBefore.found, starts: like } };
	if (kept.length === 0 || isNoLater(asBefore, before)) return joined(asBefore, like);
	// something came between: they may do better each for itself
	const apart = settled(workshop, list, openings, like, turn());
	const best = better(like, apart, asBefore);
	return joined(best, best === apart ? {} : like);

	/** The one in which others share closings, too: whatever of that makes nothing later. */
	function joined(plan: Candidate, shared: Starts): Candidate {
		const { made, found } = plan;
		if (found.status !== 'feasible') return plan;
		const { loads: all, kept: had } = potLoadsOf(
			workshop,
			list.pulls,
			shared,
			plannedAlone(made, found.starts)
		);
		let [chosen, sofar] = [had, plan];
		let trials = 0;
		const take = (asked: readonly PotLoad[]): void => {
			if (asked.length === 0 || trials++ >= MOST_TRIALS) return;
			const loads = [...chosen, ...asked];
			const tried = trial(loads, sofar, loads.slice(had.length));
			if (tried && isNoLater(tried, plan)) [chosen, sofar] = [loads, tried];
			else if (asked.length > 1) {
				const half = Math.ceil(asked.length / 2);
				take(asked.slice(0, half));
				take(asked.slice(half));
			}
		};
		take(all.slice(had.length));
		if (chosen === had) return plan;
		const of = { ...list, pulls: pullsOf(made), loads: chosen };
		return better(like, plan, settled(workshop, of, openings, like, turn(), sofar));
	}

	/** A plan with these closings, all else as it is; what joins may begin earlier. */
	function trial(loads: PotLoad[], plan: Candidate, joining: readonly PotLoad[]): Candidate | undefined {
		const of = { ...list, pulls: pullsOf(plan.made), loads };
		const made = projectOf(workshop, of, { cureS: curesOf(plan) }, openings);
		const lines = new Set(joining.flatMap((load) => load.map(lineOf)));
		const found = follow(made.project, plan.found.starts, (id) => lines.has(lineOf(id)));
		return found && { made, found };
	}
}

/** How long each plan may take of several of which nobody knows how many they are: half of what is left. */
function turnsOf({ budgetMs, clockMs, ...budget }: PlanBudget): () => PlanBudget {
	if (budgetMs === undefined || !clockMs) return () => budget;
	const untilMs = clockMs() + budgetMs;
	return () => ({ ...budget, clockMs, budgetMs: Math.max(0, untilMs - clockMs()) / 2 });
}

const lateS = ({ found }: Candidate) => (found.status === 'feasible' ? found.lateWeightedS! : Infinity);

/** No order is late that was not, and what of one is late is on average not noticeably later. */
function isNoLater(plan: Candidate, than: Candidate): boolean {
	if (plan.found.status !== 'feasible') return false;
	const was = lateByOrder(than);
	return [...lateByOrder(plan)].every(([order, { lateS: late, pulls }]) => {
		const before = was.get(order)?.lateS ?? 0;
		return late <= before || (before > 0 && ((late - before) * 1000) / pulls <= STAYS_MS);
	});
}

function lateByOrder({ made, found }: Candidate): Map<string, { lateS: number; pulls: number }> {
	const orders = new Map<string, { lateS: number; pulls: number }>();
	made.about.forEach(({ id, pull, begun }, i) => {
		const { durationS, dueS } = made.project.activities[i]!;
		const order = (pull ?? begun)?.order.id;
		if (dueS === undefined || order === undefined) return;
		const of = orders.get(order) ?? { lateS: 0, pulls: 0 };
		of.lateS += Math.max(0, (found.starts[id] ?? 0) + durationS - dueS);
		of.pulls += 1;
		orders.set(order, of);
	});
	return orders;
}

function plannedAlone(made: OrdersProject, starts: Starts): PlannedAlone {
	const byId = new Map(made.project.activities.map((a) => [a.id, a]));
	const times = new Map<string, { castS: number; outS: number }>();
	for (const { id, part, pull } of made.about) {
		if (!pull) continue;
		const of = times.get(pull.id) ?? { castS: 0, outS: 0 };
		if (part === 'cast' && of.castS === 0) of.castS = starts[id]!;
		if (part === 'demould') of.outS = starts[id]! + byId.get(id)!.durationS;
		times.set(pull.id, of);
	}
	return { times, lateLines: lateLines(made, starts) };
}

/** Least late, then what moves least, then what spares closings; a quarter of an hour for an order is no difference. */
export function better(like: Starts, apart: Candidate, together: Candidate): Candidate {
	const [asSoon, sooner] = [isNoLater(together, apart), !isNoLater(apart, together)];
	if (!asSoon) return lateS(together) < lateS(apart) ? together : apart;
	if (sooner) return together;
	const moved = movedFrom(like, together) - movedFrom(like, apart);
	const laterS = together.found.finishS! - apart.found.finishS!;
	return (moved || (laterS * 1000 > STAYS_MS ? laterS : -1)) < 0 ? together : apart;
}
