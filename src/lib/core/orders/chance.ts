import { chanceOf, followedStarts, type Starts } from '../schedule';
import { yieldOf } from './needed';
import type { OrdersPlan } from './planOrders';
import { potLoadsAt } from './potLoads';
import { openingsOf, projectOf } from './project';
import { normalQuantile, pullsWanted, stillWanted } from './pulls';
import type { LineToPlan, Workshop } from './snapshot';

/** Hands differ from day to day by about so much, as a share, one standard deviation (common practice, no source). */
const HANDS_SPREAD = 0.12;
/** Fewer say nothing of a tenth. */
const LEAST_RUNS = 30;
/** Runs of chance unless said. */
export const USUAL_RUNS = 300;

/** How sure the day of an order is. */
export interface Outlook {
	id: string;
	/** Of the runs, in so many all of it was ready in time. */
	chance: number;
	/** Nine in ten runs were ready by then; nothing where some of it cannot be planned. */
	ninetyMs: number | null;
	/** Casts that were enough in nine runs of ten. */
	ninetyCasts: number;
	/** So many runs stand behind it. */
	runs: number;
}

/** How many runs, and how long by a clock that is handed in; a few are made in any case. */
export interface RunBudget {
	runs?: number;
	seed?: number;
	budgetMs?: number;
	clockMs?: () => number;
}

/**
 * The same plan again and again with yields, cure times and hands drawn from their spreads. Each run casts as often as its
 * own scrap asks for, in the order of the plan.
 * @example
 * outlooks(ammonites, planOrders(ammonites), { runs: 20 })[0].chance; // 1
 */
export function outlooks(
	workshop: Workshop,
	plan: OrdersPlan,
	{ runs: most = USUAL_RUNS, seed = 1, budgetMs = Infinity, clockMs = () => 0 }: RunBudget = {}
): Outlook[] {
	const untilMs = clockMs() + budgetMs;
	let runs = 0;
	const chance = chanceOf(seed);
	const like = likeOf(workshop, plan);
	const openings = openingsOf(workshop);
	const ready = new Map(workshop.orders.map((o) => [o.id, [] as number[]]));
	const casts = new Map(workshop.orders.map((o) => [o.id, [] as number[]]));
	const hindered = new Set(plan.hindrances.map((h) => h.orderId));
	while (runs < most && (runs < LEAST_RUNS || clockMs() < untilMs)) {
		runs++;
		const drawn = new Map(
			workshop.orders.flatMap((o) => o.lines.map((l) => [l.id, castsDrawn(l, chance)] as const))
		);
		const wanted = pullsWanted(workshop, drawn);
		const list = { ...wanted, loads: potLoadsAt(wanted.pulls, like) };
		const cureS = new Map(
			list.pulls.map((p) => [p.id, p.recipe.cureS.day * stretched(p.recipe.cureBand, chance)])
		);
		const handsFactor = Math.exp(HANDS_SPREAD * normalQuantile(clamped(chance())));
		const made = projectOf(workshop, list, { cureS, handsFactor }, openings);
		const starts = followedStarts(made.project, like);
		for (const o of workshop.orders) {
			casts.get(o.id)!.push(o.lines.reduce((sum, l) => sum + drawn.get(l.id)!, 0));
			let lastS = 0;
			for (const of of made.about)
				if ((of.pull ?? of.begun)?.order.id === o.id && of.part === 'ready')
					lastS = Math.max(lastS, starts?.[of.id] ?? Infinity);
			const short = list.hindrances.some((h) => h.orderId === o.id);
			ready.get(o.id)!.push(short ? Infinity : workshop.nowMs + lastS * 1000);
		}
	}
	return workshop.orders.map((o) => {
		const times = ready.get(o.id)!.sort((a, b) => a - b);
		const ninety = times[Math.ceil(0.9 * runs) - 1]!;
		return {
			id: o.id,
			chance: hindered.has(o.id) ? 0 : times.filter((t) => t <= o.dueAtMs).length / runs,
			ninetyMs: Number.isFinite(ninety) ? ninety : null,
			ninetyCasts: casts.get(o.id)!.sort((a, b) => a - b)[Math.ceil(0.9 * runs) - 1]!,
			runs
		};
	});
}

const clamped = (p: number) => Math.min(0.999, Math.max(0.001, p));

/** Starts of a plan in seconds from the snapshot on. */
export const likeOf = (workshop: Workshop, plan: Pick<OrdersPlan, 'activities'>): Starts =>
	Object.fromEntries(
		plan.activities.map((a) => [a.id, Math.max(0, Math.round((a.startMs - workshop.nowMs) / 1000))])
	);

/** A factor whose tenth and ninetieth of a hundred are the band, each side for itself. */
function stretched({ low, high }: { low: number; high: number }, chance: () => number): number {
	const z = normalQuantile(clamped(chance())) / 1.2816;
	return z < 0 ? low ** -z : high ** z;
}

/** Casts until enough are good: the yield itself is drawn from what is known of it. */
function castsDrawn(line: LineToPlan, chance: () => number): number {
	const wanted = stillWanted(line);
	if (wanted === 0) return 0;
	const { a, b } = yieldOf(line.seen);
	const share = betaDraw(a, b, chance);
	let good = 0;
	let casts = 0;
	while (good < wanted && casts < 3 * wanted + 20) {
		casts++;
		if (chance() < share) good++;
	}
	return casts;
}

/** A draw of a Beta distribution as a ratio of gammas: Marsaglia & Tsang, ACM Trans. Math. Softw. 26 (2000) 363. */
function betaDraw(a: number, b: number, chance: () => number): number {
	const x = gammaDraw(a, chance);
	return x / (x + gammaDraw(b, chance));
}

function gammaDraw(shape: number, chance: () => number): number {
	const d = shape - 1 / 3;
	const c = 1 / Math.sqrt(9 * d);
	for (;;) {
		const z = Math.sqrt(-2 * Math.log(1 - chance())) * Math.cos(2 * Math.PI * chance());
		const v = (1 + c * z) ** 3;
		if (v > 0 && Math.log(1 - chance()) < 0.5 * z * z + d - d * v + d * Math.log(v)) return d * v;
	}
}
