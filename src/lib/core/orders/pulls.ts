import { castsNeeded } from './needed';
import type {
	BegunPull,
	LineToPlan,
	MouldToPlan,
	OrderToPlan,
	PullRecipe,
	Take,
	Workshop,
	PotLoad
} from './snapshot';

/** At most so many pulls are scheduled at once; the rest is said. */
export const MOST_PULLS = 500;

/** A pull that is still to be made. */
export interface PullToPlan {
	/** The line and which pull of it this is: it stays the same while others come and go. */
	id: string;
	order: OrderToPlan;
	line: LineToPlan;
	number: number;
	recipe: PullRecipe;
	/** Moulds by the name of their resource: a successor stands for the one that it follows. */
	moulds: readonly string[];
}

/** A pull that was begun: what is left is to finish it, and to wait until it is hard. */
export interface BegunToPlan extends BegunPull {
	id: string;
	order: OrderToPlan;
	line: LineToPlan;
}

/** Something that keeps an order from being planned, with what would make it possible. */
export interface Hindrance {
	orderId: string;
	lineId: string;
	/** So many casts of it are not planned. */
	casts: number;
	why: string;
	mend: string;
	/** What is short of it, by its tin, g. */
	short?: { stockId: string; massG: number } | undefined;
}

/** Moulds that are to be made anew, since the old one will not last. */
export interface Successor {
	mouldId: string;
	resource: string;
	makeS: number;
	cureS: number;
	takes?: readonly Take[] | undefined;
}

export interface PullList {
	pulls: PullToPlan[];
	begun: BegunToPlan[];
	hindrances: Hindrance[];
	successors: Successor[];
	/** Pulls that go into a pot with one closing. */
	loads?: readonly PotLoad[] | undefined;
	/** Pulls that could do so with some other. */
	joinable?: ReadonlySet<string> | undefined;
	/** Casts that each line is planned with, by its id. */
	casts: Record<string, number>;
}

/** What is due first is cast first; of the same day what is more pressing. */
export const byDue = (a: OrderToPlan, b: OrderToPlan) =>
	a.dueAtMs - b.dueAtMs || b.priority - a.priority || a.number - b.number;

/**
 * Good copies of a line that nobody is casting yet.
 * @example
 * stillWanted({ ...ammonites.orders[0].lines[0], good: 1 }); // 1
 */
export const stillWanted = (line: LineToPlan): number => Math.max(0, line.copies - line.good - line.casting);

/**
 * The pulls that open orders still want, in the order in which moulds and tins are given to them.
 * @param casts of each line, where they are known otherwise than by its yield
 */
export function pullsWanted(workshop: Workshop, casts?: ReadonlyMap<string, number>): PullList {
	const moulds = new Map(workshop.moulds.map((m) => [m.id, m]));
	const pots = new Map(workshop.pots.map((p) => [p.id, p]));
	const left = new Map(workshop.stock.map((s) => [s.id, s.leftG]));
	const lives = new Map<string, Life>();
	const list: PullList = { pulls: [], begun: [], hindrances: [], successors: [], casts: {} };
	for (const order of [...workshop.orders].sort(byDue)) {
		for (const line of order.lines) {
			const taken = new Set<number>();
			for (const pull of line.begun ?? []) {
				// a number that was given twice is told apart by its place
				const id = taken.has(pull.number)
					? `${line.id}/${pull.number}-${list.begun.length}`
					: `${line.id}/${pull.number}`;
				taken.add(pull.number);
				list.begun.push({ ...pull, id, order, line });
			}
			const wanted = casts?.get(line.id) ?? castsNeeded(stillWanted(line), line.seen);
			list.casts[line.id] = wanted;
			if (wanted === 0) continue;
			const hinder = (count: number, why: string, mend: string, short?: Hindrance['short']) =>
				list.hindrances.push({
					orderId: order.id,
					lineId: line.id,
					casts: count,
					why,
					mend,
					...(short && { short })
				});
			if (line.refused ?? line.recipes.length === 0) {
				hinder(
					wanted,
					line.refused ?? 'The shot has no batches.',
					'Size the shot anew and choose it in the order.'
				);
				continue;
			}
			let missing = wanted;
			for (let n = line.pulls; missing > 0; n++) {
				if (taken.has(n + 1)) continue;
				const recipe = line.recipes[n % line.recipes.length]!;
				if (list.pulls.length >= MOST_PULLS) {
					hinder(
						missing,
						`Only the first ${MOST_PULLS} pulls of all orders are scheduled.`,
						'It is scheduled as those are done: give it a later day or more moulds.'
					);
					break;
				}
				const pot = recipe.potId === null ? undefined : pots.get(recipe.potId);
				if (pot?.refused) {
					hinder(
						missing,
						`${pot.name} may not be used: ${pot.refused}`,
						`Look ${pot.name} over, or size the shot without a pot.`
					);
					break;
				}
				const short = takeFrom(left, recipe.takes);
				if (short) {
					const name = workshop.stock.find((s) => s.id === short.stockId)?.name ?? 'resin';
					const massG =
						recipe.takes.find((t) => t.stockId === short.stockId)!.massG *
							Math.ceil(missing / recipe.copies) -
						short.leftG;
					hinder(
						missing,
						`${name} runs out: about ${Math.ceil(massG)} g short.`,
						'Put a new tin on the shelf; the plan goes on by itself.',
						{ stockId: short.stockId, massG }
					);
					break;
				}
				const used = mouldsFor(
					recipe,
					{ moulds, lives, left },
					workshop.hours.successorPercent / 100,
					list.successors
				);
				if ('why' in used) {
					giveBack(left, recipe.takes);
					hinder(missing, used.why, used.mend, used.short);
					break;
				}
				list.pulls.push({
					id: `${line.id}/${n + 1}`,
					order,
					line,
					number: n + 1,
					recipe,
					moulds: used.names
				});
				missing -= recipe.copies;
			}
		}
	}
	return list;
}

function takeFrom(
	left: Map<string, number>,
	takes: readonly Take[]
): { stockId: string; leftG: number } | undefined {
	for (const { stockId, massG } of takes) {
		const leftG = left.get(stockId);
		if (leftG !== undefined && leftG < massG) return { stockId, leftG };
	}
	for (const { stockId, massG } of takes)
		if (left.has(stockId)) left.set(stockId, left.get(stockId)! - massG);
	return undefined;
}

function giveBack(left: Map<string, number>, takes: readonly Take[]): void {
	for (const { stockId, massG } of takes)
		if (left.has(stockId)) left.set(stockId, left.get(stockId)! + massG);
}

/** Which one of a line of moulds is in use, and how many pulls are planned of it. */
interface Life {
	resource: string;
	pulls: number;
	generation: number;
}

/** How many pulls a mould is sure enough to give: the median with a spread that puts four of five between low and high. */
export function sureLeft(left: NonNullable<MouldToPlan['left']>, risk: number): number {
	// in logarithms, since a mould lasts twice or half as long: the tenth and ninetieth of a hundred lie 1.2816 sigma out
	const spread = Math.log(Math.max(1.02, (left.high + 1) / (left.low + 1))) / (2 * 1.2816);
	return Math.max(0, Math.floor((left.median + 1) * Math.exp(-normalQuantile(1 - risk) * spread) - 1));
}

/** Quantile of the normal distribution: Abramowitz & Stegun, Handbook of Mathematical Functions (1964), 26.2.23, to 4.5e-4. */
export function normalQuantile(p: number): number {
	if (p < 0.5) return -normalQuantile(1 - p);
	const t = Math.sqrt(-2 * Math.log(Math.max(1e-12, 1 - p)));
	return (
		t -
		(2.515517 + 0.802853 * t + 0.010328 * t * t) / (1 + 1.432788 * t + 0.189269 * t * t + 0.001308 * t ** 3)
	);
}

function mouldsFor(
	recipe: PullRecipe,
	{
		moulds,
		lives,
		left
	}: { moulds: ReadonlyMap<string, MouldToPlan>; lives: Map<string, Life>; left: Map<string, number> },
	risk: number,
	successors: Successor[]
): { names: string[] } | Pick<Hindrance, 'why' | 'mend' | 'short'> {
	const names: string[] = [];
	const worn: { mould: MouldToPlan; life: Life }[] = [];
	for (const id of recipe.mouldIds) {
		const mould = moulds.get(id);
		if (!mould)
			return {
				why: 'Its mould is not in the books any more.',
				mend: 'Size the shot anew with another mould.'
			};
		if (mould.refused)
			return {
				why: `M${mould.number} ${mould.refused}`,
				mend: 'Size the shot anew with another mould, or make a successor; one that is kept out is let in again on the board.'
			};
		const life = lives.get(id) ?? { resource: `M${mould.number}`, pulls: 0, generation: 0 };
		if (mould.left && life.generation === 0 && life.pulls >= sureLeft(mould.left, risk)) {
			if (!mould.successor)
				return {
					why: `M${mould.number} is not sure to last: ${life.pulls} pulls more of it are planned.`,
					mend: 'Plan a successor while its master is at hand.'
				};
			worn.push({ mould, life });
		}
		lives.set(id, life);
	}
	const taken: Take[] = [];
	for (const { mould } of worn) {
		const takes = mould.successor!.takes ?? [];
		const short = takeFrom(left, takes);
		if (short) {
			giveBack(left, taken);
			const { name, massG } = takes.find((t) => t.stockId === short.stockId)!;
			return {
				why: `M${mould.number} is not sure to last, and of ${name}, of which its successor takes ${Math.ceil(massG)} g, ${Math.floor(short.leftG)} g are left.`,
				mend: 'Put a new tin on the shelf; the plan goes on by itself.',
				short: { stockId: short.stockId, massG: massG - short.leftG }
			};
		}
		taken.push(...takes);
	}
	for (const { mould, life } of worn) {
		life.generation++;
		life.pulls = 0;
		life.resource = `M${mould.number} successor`;
		successors.push({ mouldId: mould.id, resource: life.resource, ...mould.successor! });
	}
	for (const id of recipe.mouldIds) {
		const life = lives.get(id)!;
		life.pulls++;
		names.push(life.resource);
	}
	return { names };
}
