import { follow, schedule, type Schedule, type Starts } from '../schedule';
import { cureAtS } from './cureAt';
import { projectOf, type openingsOf, type OrdersProject } from './project';
import type { PullList } from './pulls';
import type { Workshop } from './snapshot';

/** Cure times are worked out anew for the hours at which they fall so often at most. */
const MOST_ROUNDS = 5;
/** A cure that is off by no more than this agrees, s. */
const AGREES_S = 60;
/** What begins within this of where it was has not moved, ms. */
export const STAYS_MS = 15 * 60_000;

/** When hands are there. */
export type Openings = ReturnType<typeof openingsOf>;

/** How long it is worked on. */
export interface PlanBudget {
	seed?: number;
	iterations?: number;
	budgetMs?: number;
	clockMs?: () => number;
}

/** A plan before it is told: its project and the starts that were found for it. */
export type Candidate = { made: OrdersProject; found: Schedule };

/** So many activities begin otherwise than before. */
export const movedFrom = (like: Starts, { found: { starts } }: Candidate) =>
	Object.entries(starts).filter(
		([id, s]) => like[id] !== undefined && Math.abs(s - like[id]) * 1000 > STAYS_MS
	).length;

/**
 * The best plan of these pulls whose cures are those of the hours at which they fall.
 * @param from a plan of them whose order and cures are tried first
 */
export function settled(
	workshop: Workshop,
	list: PullList,
	openings: Openings,
	like: Starts,
	budget: PlanBudget,
	from?: Candidate
): Candidate {
	const cures = from ? curesOf(from) : new Map(list.pulls.map((p) => [p.id, Math.round(p.recipe.cureS.day)]));
	const make = (of: PullList) => projectOf(workshop, of, { cureS: cures }, openings);
	let { made, found } = solved(list, make, like, budget, from?.found.starts);
	const kept = { ...list, pulls: pullsOf(made) };
	for (let round = 0; found.status === 'feasible' && round < MOST_ROUNDS; round++) {
		if (!cureTold(cures, made, found, round === MOST_ROUNDS - 1)) break;
		made = make(kept);
		found =
			follow(made.project, found.starts, (id) => like[id] === undefined) ??
			schedule(made.project, 1, { iterations: 50 }, found.starts);
	}
	return { made, found };
}

/** Fresh, and several that follow what was: of those that are no later than the fresh one, that which moves the fewest. */
function solved(
	list: PullList,
	make: (list: PullList) => OrdersProject,
	like: Starts,
	{ seed = 1, iterations, budgetMs, clockMs }: PlanBudget,
	first?: Starts
): Candidate {
	const made = make(list);
	const work =
		clockMs && budgetMs !== undefined ? { budgetMs, nowMs: clockMs } : { iterations: iterations ?? 100 };
	const known = made.project.activities.some((a) => like[a.id] !== undefined);
	let fresh = schedule(made.project, seed, work, first ?? (known ? like : undefined));
	const asFirst = first && follow(made.project, first);
	if (asFirst && asFirst.lateWeightedS! < (fresh.lateWeightedS ?? Infinity))
		fresh = withBound(asFirst, fresh);
	if (!known || fresh.status !== 'feasible') return { made, found: fresh };
	const lateIds = lateLines(made, fresh.starts);
	const out = outOfPlace(made, like);
	const atEnd = make({
		...list,
		pulls: [
			...list.pulls
				.filter((p) => !out.has(p.id))
				.sort((a, b) => (like[`${a.id}/prep`] ?? Infinity) - (like[`${b.id}/prep`] ?? Infinity)),
			...list.pulls.filter((p) => out.has(p.id))
		]
	});
	const inPlace = Object.fromEntries(Object.entries(like).filter(([id]) => !out.has(pullOf(id))));
	const ways: [OrdersProject, Schedule | undefined][] = [
		[atEnd, follow(atEnd.project, inPlace)],
		[made, follow(made.project, like)],
		[made, follow(made.project, like, (id) => lateIds.has(lineOf(id)))]
	];
	let best: Candidate & { moves: number } = {
		made,
		found: fresh,
		moves: movedFrom(like, { made, found: fresh })
	};
	for (const [of, found] of ways) {
		if (!found || found.lateWeightedS! > fresh.lateWeightedS!) continue;
		const count = movedFrom(like, { made: of, found });
		if (count < best.moves)
			best = {
				made: of,
				found: withBound(found, fresh),
				moves: count
			};
	}
	return best;
}

/** The pulls of a plan in the order in which moulds take them. */
export const pullsOf = ({ about }: OrdersProject) =>
	about.flatMap((a) => (a.part === 'prep' && a.pull ? [a.pull] : []));

/** How long each of its pulls cures, s. */
export function curesOf({ made: { project, about } }: Candidate): Map<string, number> {
	const byId = new Map(project.activities.map((a) => [a.id, a.durationS]));
	return new Map(about.flatMap((a) => (a.part === 'cure' && a.pull ? [[a.pull.id, byId.get(a.id)!]] : [])));
}

/** What follows others knows no bound of its own. */
const withBound = (found: Schedule, { lowerBoundS, lateBoundS }: Schedule): Schedule => ({
	...found,
	lowerBoundS,
	lateBoundS
});

/** The line of an activity, or of a pull. */
export const lineOf = (id: string) => id.slice(0, id.indexOf('/'));
const pullOf = (id: string) => id.slice(0, id.lastIndexOf('/'));

/** Pulls of which hands were to do something at a time that is no longer theirs, or has gone by. */
function outOfPlace({ project, about, openings }: OrdersProject, like: Starts): Set<string> {
	const byId = new Map(project.activities.map((a) => [a.id, a]));
	return new Set(
		about.flatMap(({ id, pull }) => {
			const a = byId.get(id)!;
			const s = like[id];
			if (!pull || s === undefined || !a.needs.some((n) => n.resource === 'hands')) return [];
			const open = openings.some((o) => o.fromS <= s && o.untilS >= s + a.durationS);
			return open && s > 0 ? [] : [pull.id];
		})
	);
}

/** Lines of which something is ready after it is due. */
export function lateLines({ project }: OrdersProject, starts: Starts): Set<string> {
	return new Set(
		project.activities.flatMap((a) => (a.dueS !== undefined && starts[a.id]! > a.dueS ? [lineOf(a.id)] : []))
	);
}

/** Cures at the hours that were found, into the map; whether any of them was otherwise. At last none gets shorter again. */
function cureTold(
	cures: Map<string, number>,
	made: OrdersProject,
	{ starts }: Schedule,
	last: boolean
): boolean {
	let moved = false;
	for (const { part, pull, id } of made.about) {
		if (part !== 'cure' || !pull) continue;
		const needed = Math.ceil(cureAtS(pull.recipe, starts[id]!, made.openings));
		const now = cures.get(pull.id)!;
		if (needed <= now && (last || now - needed <= AGREES_S)) continue;
		// what does not settle gets the time of the coldest night
		cures.set(pull.id, last ? Math.max(now, Math.ceil(pull.recipe.cureS.night)) : needed);
		moved = true;
	}
	return moved;
}
