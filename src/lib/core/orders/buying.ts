import { castsNeeded } from './needed';
import { stillWanted } from './pulls';
import type { Workshop } from './snapshot';

/** What open orders take of a part, against the shelf. */
export interface Buying {
	stockId: string;
	name: string;
	/** Taken by all casts that the orders are planned with, g. */
	takesG: number;
	leftG: number;
	/** To be bought, g; 0 where the shelf has enough. */
	shortG: number;
	/** When it runs out by the plan, ms since 1970; nothing where it does not. */
	runsOutMs: number | null;
	orders: string[];
}

/**
 * What all open orders take of each part, and what is short of it.
 * @param casts of the plan, with their times, so that the day is known on which a tin runs out
 * @example
 * buyingList(ammonites)[0].takesG; // 120
 */
export function buyingList(
	workshop: Workshop,
	casts: readonly {
		lineId?: string | undefined;
		startMs: number;
		part: string;
		batch?: number | undefined;
	}[] = []
): Buying[] {
	const list = new Map<string, Buying>();
	const of = (stockId: string) => {
		const known = list.get(stockId);
		if (known) return known;
		const stock = workshop.stock.find((s) => s.id === stockId);
		const made = {
			stockId,
			name: stock?.name ?? 'not in the books',
			takesG: 0,
			leftG: stock?.leftG ?? 0,
			shortG: 0,
			runsOutMs: null,
			orders: []
		};
		list.set(stockId, made);
		return made as Buying;
	};
	const recipes = new Map(workshop.orders.flatMap((o) => o.lines.map((l) => [l.id, l.recipes] as const)));
	for (const order of workshop.orders)
		for (const line of order.lines) {
			let casts = castsNeeded(stillWanted(line), line.seen);
			for (let n = line.pulls; casts > 0 && line.recipes.length > 0; n++) {
				const recipe = line.recipes[n % line.recipes.length]!;
				casts -= recipe.copies;
				for (const { stockId, massG } of recipe.takes) {
					const part = of(stockId);
					part.takesG += massG;
					if (!part.orders.includes(order.name)) part.orders.push(order.name);
				}
			}
		}
	const left = new Map([...list.values()].map((b) => [b.stockId, b.leftG]));
	const last = new Map<string, number>();
	for (const cast of casts) {
		if (cast.part !== 'cast' || !cast.lineId) continue;
		for (const { stockId, massG } of recipes.get(cast.lineId)?.[cast.batch ?? 0]?.takes ?? []) {
			last.set(stockId, cast.startMs);
			left.set(stockId, (left.get(stockId) ?? 0) - massG);
		}
	}
	return [...list.values()]
		.map((b) => {
			const shortG = Math.max(0, b.takesG - b.leftG);
			return { ...b, shortG, runsOutMs: shortG > 0 ? (last.get(b.stockId) ?? workshop.nowMs) : null };
		})
		.sort((a, b) => b.shortG - a.shortG || a.name.localeCompare(b.name));
}
