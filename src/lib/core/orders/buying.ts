import { castsNeeded } from './needed';
import { pullsWanted, stillWanted } from './pulls';
import type { Take, Workshop } from './snapshot';

/** What open orders take of a part, against the shelf. */
export interface Buying {
	stockId: string;
	name: string;
	/** Taken by all casts and successors of moulds that the orders are planned with, g. */
	takesG: number;
	/** On the shelf, g; nothing where no tin of it is in the books. */
	leftG: number | null;
	/** To be bought, g; 0 where the shelf has enough. Of what is not in the books all of it. */
	shortG: number;
	/** Of what is left so much is past its use-by day when the last of it is used, g. */
	pastG: number;
	/** When it runs out by the plan, ms since 1970; nothing where it does not, or is not in the books. */
	runsOutMs: number | null;
	/** Orders, and moulds of which a successor is made. */
	orders: string[];
}

/** Whether the plan waits for more of it. */
const isShort = (b: Pick<Buying, 'leftG' | 'shortG'>): boolean => b.leftG !== null && b.shortG > 0;

/** An activity of the plan, as far as it takes something. */
interface Timed {
	lineId?: string | undefined;
	mouldId?: string | undefined;
	startMs: number;
	part: string;
	batch?: number | undefined;
}

/**
 * What all open orders take of each part, resin, filler and rubber of successors, and what is short of it.
 * @param activities of the plan, with their times, so that the day is known on which a tin runs out
 * @example
 * buyingList(ammonites)[0].takesG; // 120
 */
export function buyingList(workshop: Workshop, activities: readonly Timed[] = []): Buying[] {
	const list = new Map<string, Buying>();
	/** When the last of it is used by the plan. */
	const lastMs = new Map<string, number>();
	// what comes from no tin is told apart by its name
	const keyOf = (t: Take) => (workshop.stock.some((s) => s.id === t.stockId) ? t.stockId : t.name);
	const take = (t: Take, whom: string) => {
		const key = keyOf(t);
		const stock = workshop.stock.find((s) => s.id === key);
		const part = list.get(key) ?? {
			stockId: key,
			name: stock?.name ?? t.name,
			takesG: 0,
			leftG: stock?.leftG ?? null,
			shortG: 0,
			pastG: 0,
			runsOutMs: null,
			orders: []
		};
		list.set(key, part);
		part.takesG += t.massG;
		if (!part.orders.includes(whom)) part.orders.push(whom);
	};
	for (const order of workshop.orders)
		for (const line of order.lines) {
			let casts = castsNeeded(stillWanted(line), line.seen);
			for (let n = line.pulls; casts > 0 && line.recipes.length > 0; n++) {
				const recipe = line.recipes[n % line.recipes.length]!;
				casts -= recipe.copies;
				for (const t of recipe.takes) take(t, order.name);
			}
		}
	const moulds = new Map(workshop.moulds.map((m) => [m.id, m]));
	for (const { mouldId, takes } of pullsWanted(workshop).successors)
		for (const t of takes ?? []) take(t, `successor of M${moulds.get(mouldId)!.number}`);
	const lines = new Map(workshop.orders.flatMap((o) => o.lines.map((l) => [l.id, l] as const)));
	for (const { part, lineId, mouldId, batch, startMs } of activities) {
		const takes =
			part === 'make'
				? moulds.get(mouldId ?? '')?.successor?.takes
				: part === 'cast'
					? lines.get(lineId ?? '')?.recipes[batch ?? 0]?.takes
					: undefined;
		for (const t of takes ?? []) lastMs.set(keyOf(t), Math.max(startMs, lastMs.get(keyOf(t)) ?? 0));
	}
	return [...list.values()]
		.map((b) => {
			const shortG = Math.max(0, b.takesG - (b.leftG ?? 0));
			const usedMs = lastMs.get(b.stockId) ?? workshop.nowMs;
			const past =
				workshop.stock.find((s) => s.id === b.stockId)?.dated?.filter((d) => d.untilMs < usedMs) ?? [];
			return {
				...b,
				shortG,
				pastG: past.reduce((sum, d) => sum + d.leftG, 0),
				runsOutMs: shortG > 0 && b.leftG !== null ? usedMs : null
			};
		})
		.sort(
			(a, b) => Number(isShort(b)) - Number(isShort(a)) || b.shortG - a.shortG || a.name.localeCompare(b.name)
		);
}

/**
 * Coats of each release that the casts of open orders ask for, by name.
 * @example
 * coatsWanted(ammonites); // []
 */
export function coatsWanted(workshop: Workshop): { name: string; coats: number }[] {
	const coats = new Map<string, number>();
	for (const { recipe } of pullsWanted(workshop).pulls)
		if (recipe.coats) coats.set(recipe.coats.name, (coats.get(recipe.coats.name) ?? 0) + recipe.coats.moulds);
	return [...coats]
		.map(([name, count]) => ({ name, coats: Math.ceil(count - 1e-9) }))
		.sort((a, b) => a.name.localeCompare(b.name));
}
