import { breaches, endsNoSoonerS, type Schedule, type Starts } from '../schedule';
import { withClosings } from './closings';
import type { Part } from './parts';
import { potLoadsOf } from './potLoads';
import { openingsOf, projectOf, type ActivityOf, type OrdersProject } from './project';
import { pullsWanted, type Hindrance, type PullList } from './pulls';
import { STAYS_MS, type PlanBudget } from './settled';
import type { Workshop } from './snapshot';

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
	const { joinable } = potLoadsOf(workshop, list.pulls, like);
	const alone = { ...list, joinable };
	const { made, found } = withClosings(workshop, alone, openings, like, budget);
	if (found.status !== 'feasible') return notPlanned(workshop, list, made, found);
	const wrong = breaches(made.project, found.starts);
	if (wrong.length > 0) throw new Error(`planOrders: the checker refuses the plan: ${wrong[0]!.message}`);
	return planOf(workshop, alone, made, found, before);
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
