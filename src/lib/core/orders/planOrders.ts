import { breaches, endsNoSoonerS, follow, schedule, type Schedule, type Starts } from '../schedule';
import { cureAtS } from './cureAt';
import type { Part } from './parts';
import { potLoadsOf } from './potLoads';
import { openingsOf, projectOf, type ActivityOf, type OrdersProject } from './project';
import { pullsWanted, type Hindrance, type PullList } from './pulls';
import type { Workshop } from './snapshot';

/** Cure times are worked out anew for the hours at which they fall so often at most. */
const MOST_ROUNDS = 5;
/** A cure that is off by no more than this agrees, s. */
const AGREES_S = 60;
/** What begins within this of where it was has not moved, ms. */
export const STAYS_MS = 15 * 60_000;

/** Something that is done at a time, or goes on by itself. */
export interface Planned {
	id: string;
	part: Part;
	startMs: number;
	endMs: number;
	/** Pairs of hands. */
	hands: number;
	orderId?: string | undefined;
	lineId?: string | undefined;
	shotId?: string | undefined;
	batch?: number | undefined;
	/** Which pull of its line. */
	number?: number | undefined;
	layer?: number | undefined;
	pieceName?: string | undefined;
	copies?: number | undefined;
	moulds?: string[] | undefined;
	potId?: string | undefined;
	mouldId?: string | undefined;
	/** Its pull was cast already: this is what is left of it. */
	begun?: true | undefined;
	pinned?: true | undefined;
	/** Of a cast that shares its closing: all pulls of it, by their ids, in the order in which they are poured. */
	load?: string[] | undefined;
}

/** When an order is ready by the plan. */
export interface OrderOutlook {
	id: string;
	/** Nothing where some of it cannot be planned. */
	readyAtMs: number | null;
	dueAtMs: number;
	lateMs: number;
	/** Casts that it is planned with, for so many still wanted. */
	casts: number;
	wanted: number;
}

/** The plan of a workshop. */
export interface OrdersPlan {
	madeAtMs: number;
	status: 'feasible' | 'infeasible' | 'unknown';
	activities: Planned[];
	orders: OrderOutlook[];
	hindrances: Hindrance[];
	/** Seconds late, by copies and priority. */
	lateWeightedS: number;
	finishMs: number;
	/** No plan ends before this, in whatever order moulds take their pulls. */
	boundMs: number;
	proven: boolean;
	/** Of one that cannot be: what is in the way, in words. */
	conflict: string[];
	/** Unstarted activities that begin over a quarter of an hour otherwise than before. */
	moved: number;
}

/** How long it is worked on. */
export interface PlanBudget {
	seed?: number;
	iterations?: number;
	budgetMs?: number;
	clockMs?: () => number;
}

/**
 * Plans all open orders: least late first, and of those plans the one that moves the fewest of the activities that were
 * planned before. Cures are those of the hours at which they fall. Nothing is given out that the checker refuses.
 * @param before starts of the plan that is followed, ms since 1970
 * @example
 * planOrders(ammonites).orders[0].casts; // 2
 * @throws Error when its own checker refuses the plan, which is a defect of ours
 */
export function planOrders(workshop: Workshop, before: Starts = {}, budget: PlanBudget = {}): OrdersPlan {
	const list = pullsWanted(workshop);
	const openings = openingsOf(workshop);
	if (list.pulls.length + list.begun.length > 0 && openings.length === 0) return noHands(workshop, list);
	const like = Object.fromEntries(
		Object.entries(before).map(([id, ms]) => [id, Math.max(0, Math.round((ms - workshop.nowMs) / 1000))])
	);
	const { loads, joinable } = potLoadsOf(workshop, list.pulls, like);
	const alone = { ...list, joinable };
	// each closing for itself, or several in one where that brings something
	const lists = loads.length > 0 ? [alone, { ...alone, loads }] : [alone];
	const share =
		budget.budgetMs === undefined ? budget : { ...budget, budgetMs: budget.budgetMs / lists.length };
	const [{ made, found }] = lists
		.map((of) => settled(workshop, of, openings, like, share))
		.sort((a, b) => byWorth(a.found, b.found) || movedFrom(like, a) - movedFrom(like, b) || byEnd(a, b)) as [
		Candidate
	];
	if (found.status !== 'feasible') return notPlanned(workshop, list, made, found);
	const wrong = breaches(made.project, found.starts);
	if (wrong.length > 0) throw new Error(`planOrders: the checker refuses the plan: ${wrong[0]!.message}`);
	return planOf(workshop, alone, made, found, before);
}

type Candidate = { made: OrdersProject; found: Schedule };

const byWorth = (a: Schedule, b: Schedule) =>
	Number(b.status === 'feasible') - Number(a.status === 'feasible') ||
	(a.lateWeightedS ?? 0) - (b.lateWeightedS ?? 0);
const byEnd = (a: Candidate, b: Candidate) => (a.found.finishS ?? 0) - (b.found.finishS ?? 0);
/** So many activities begin otherwise than before. */
const movedFrom = (like: Starts, { found: { starts } }: Candidate) =>
	Object.entries(starts).filter(
		([id, s]) => like[id] !== undefined && Math.abs(s - like[id]) * 1000 > STAYS_MS
	).length;

/** The best plan of these pulls whose cures are those of the hours at which they fall. */
function settled(
	workshop: Workshop,
	list: PullList,
	openings: ReturnType<typeof openingsOf>,
	like: Starts,
	budget: PlanBudget
): Candidate {
	const cures = new Map(list.pulls.map((p) => [p.id, Math.round(p.recipe.cureS.day)]));
	const make = (of: PullList) => projectOf(workshop, of, { cureS: cures }, openings);
	let { made, found } = solved(list, make, like, budget);
	const kept = { ...list, pulls: made.about.flatMap((a) => (a.part === 'prep' && a.pull ? [a.pull] : [])) };
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
	{ seed = 1, iterations, budgetMs, clockMs }: PlanBudget
): Candidate {
	const made = make(list);
	const work =
		clockMs && budgetMs !== undefined ? { budgetMs, nowMs: clockMs } : { iterations: iterations ?? 100 };
	const known = made.project.activities.some((a) => like[a.id] !== undefined);
	const fresh = schedule(made.project, seed, work, known ? like : undefined);
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
				found: { ...found, lowerBoundS: fresh.lowerBoundS, lateBoundS: fresh.lateBoundS },
				moves: count
			};
	}
	return best;
}

const lineOf = (id: string) => id.slice(0, id.indexOf('/'));
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

function lateLines({ project }: OrdersProject, starts: Starts): Set<string> {
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

export function planOf(
	workshop: Workshop,
	list: PullList,
	made: OrdersProject,
	found: Schedule,
	before: Starts
): OrdersPlan {
	const byId = new Map(made.project.activities.map((a) => [a.id, a]));
	const atMs = (s: number) => workshop.nowMs + s * 1000;
	// of this plan's own turns the bound may be higher, and says nothing of other turns
	const anyTurn = projectOf(workshop, list, { anyTurn: true }, made.openings).project;
	const boundS = Math.min(found.finishS!, endsNoSoonerS(anyTurn));
	const activities = made.about.map((of) =>
		planned(of, byId.get(of.id)!, atMs(found.starts[of.id]!), workshop)
	);
	activities.sort((a, b) => a.startMs - b.startMs || a.id.localeCompare(b.id));
	return {
		...emptyPlan(workshop, list),
		status: 'feasible',
		activities,
		orders: outlooks(workshop, list, activities),
		lateWeightedS: found.lateWeightedS!,
		finishMs: atMs(found.finishS!),
		boundMs: atMs(boundS),
		proven: found.proven && found.finishS! <= boundS,
		moved: activities.filter(
			(a) => a.hands > 0 && before[a.id] !== undefined && Math.abs(before[a.id]! - a.startMs) > STAYS_MS
		).length
	};
}

function planned(
	{ id, part, pull, begun, layer, mouldId, load }: ActivityOf,
	{ durationS, needs }: { durationS: number; needs: readonly { resource: string; amount: number }[] },
	startMs: number,
	workshop: Workshop
): Planned {
	return {
		id,
		part,
		startMs,
		endMs: startMs + durationS * 1000,
		hands: needs.find((n) => n.resource === 'hands')?.amount ?? 0,
		...(pull && {
			orderId: pull.order.id,
			lineId: pull.line.id,
			shotId: pull.line.shotId,
			batch: pull.recipe.batch,
			number: pull.number,
			pieceName: pull.line.pieceName,
			copies: pull.recipe.copies,
			moulds: [...pull.moulds],
			...(pull.recipe.potId === null ? {} : { potId: pull.recipe.potId })
		}),
		...(begun && {
			orderId: begun.order.id,
			lineId: begun.line.id,
			shotId: begun.line.shotId,
			number: begun.number,
			pieceName: begun.line.pieceName,
			copies: begun.copies,
			moulds: [...begun.moulds],
			begun: true as const
		}),
		...(layer === undefined ? {} : { layer }),
		...(mouldId === undefined ? {} : { mouldId }),
		...(load && { load: [...load] }),
		...(workshop.pins[id] === undefined ? {} : { pinned: true as const })
	};
}

function outlooks(
	workshop: Workshop,
	{ hindrances, casts }: PullList,
	activities: readonly Planned[]
): OrderOutlook[] {
	return workshop.orders.map((o) => {
		const own = activities.filter((a) => a.orderId === o.id);
		const isWhole = !hindrances.some((h) => h.orderId === o.id);
		const readyAtMs = isWhole ? Math.max(workshop.nowMs, ...own.map((a) => a.endMs)) : null;
		return {
			id: o.id,
			dueAtMs: o.dueAtMs,
			readyAtMs,
			lateMs: Math.max(0, (readyAtMs ?? workshop.nowMs) - o.dueAtMs),
			casts: o.lines.reduce((sum, l) => sum + (casts[l.id] ?? 0), 0),
			wanted: o.lines.reduce((sum, l) => sum + Math.max(0, l.copies - l.good), 0)
		};
	});
}

const emptyPlan = (workshop: Workshop, list: PullList): OrdersPlan => ({
	madeAtMs: workshop.nowMs,
	status: 'unknown',
	activities: [],
	orders: workshop.orders.map((o) => ({
		id: o.id,
		readyAtMs: null,
		dueAtMs: o.dueAtMs,
		lateMs: Math.max(0, workshop.nowMs - o.dueAtMs),
		casts: o.lines.reduce((sum, l) => sum + (list.casts[l.id] ?? 0), 0),
		wanted: o.lines.reduce((sum, l) => sum + Math.max(0, l.copies - l.good), 0)
	})),
	hindrances: list.hindrances,
	lateWeightedS: 0,
	finishMs: workshop.nowMs,
	boundMs: workshop.nowMs,
	proven: false,
	conflict: [],
	moved: 0
});

const noHands = (workshop: Workshop, list: PullList): OrdersPlan => ({
	...emptyPlan(workshop, list),
	status: 'infeasible',
	proven: true,
	conflict: ['Nobody is there: no pair of hands in the next three months. Say when you work.']
});

const DOES: Readonly<Record<Part, string>> = {
	prep: 'preparing the mould',
	dry: 'the coat drying',
	cast: 'casting',
	layer: 'the next layer',
	hold: 'the time in the pot',
	cure: 'curing',
	demould: 'demoulding',
	finish: 'finishing',
	ready: 'hardening',
	make: 'making a successor',
	set: 'its rubber curing'
};

function notPlanned(workshop: Workshop, list: PullList, made: OrdersProject, found: Schedule): OrdersPlan {
	const about = new Map(made.about.map((a) => [a.id, a]));
	const words = (found.conflict ?? []).flatMap((id) => {
		const of = about.get(id);
		if (!of) return [];
		const { pull = of.begun } = of;
		const what = pull ? `pull ${pull.number} of ${pull.line.pieceName}` : 'the successor';
		const { durationS } = made.project.activities.find((a) => a.id === id)!;
		return [
			`${what}: ${DOES[of.part]}, ${Math.round(durationS / 60)} min${workshop.pins[id] === undefined ? '' : ', pinned'}`
		];
	});
	return { ...emptyPlan(workshop, list), status: found.status, proven: found.proven, conflict: words };
}
