import { NEXT_CUP_S } from '../plan';
import { planLoad } from '../pressurePot';
import type { Starts } from '../schedule';
import type { PullToPlan } from './pulls';
import type { PotLoad, PullRecipe, Workshop } from './snapshot';

/** How several recipes are cast for one closing. */
export interface CastTogether {
	/** When the hands turn to each, s after the first. */
	beginsS: number[];
	/** Until the pot is at pressure, s. */
	durationS: number;
	/** The longest of their holds. */
	holdS: number;
}

/**
 * One cup after another, then the pot is closed and pumped once.
 * @param recipes in the order in which they are poured, each of one that goes in a pot
 */
export function castTogether(recipes: readonly PullRecipe[]): CastTogether {
	const beginsS: number[] = [];
	let atS = 0;
	for (const { pot, blocks } of recipes) {
		beginsS.push(atS);
		// what is measured is measured in any case; it is closed and pumped once
		atS += blocks[0]!.durationS - (pot?.closeS ?? 0) + NEXT_CUP_S;
	}
	return {
		beginsS,
		durationS: atS - NEXT_CUP_S + closeS(recipes),
		holdS: Math.max(...recipes.map((r) => r.holdS))
	};
}

const closeS = (recipes: readonly PullRecipe[]) => Math.max(...recipes.map((r) => r.pot?.closeS ?? 0));

/** The one that stays liquid for longest is poured first. */
const inTurn = (pulls: readonly PullToPlan[]): PullToPlan[] =>
	pulls.toSorted((a, b) => (b.recipe.pot?.liquidS ?? 0) - (a.recipe.pot?.liquidS ?? 0));

/** Each is at pressure before it is too thick, counted from its own combining. */
function inTime(recipes: readonly PullRecipe[]): boolean {
	const lastS = Math.max(...recipes.map((r) => r.pot!.pressedS));
	return recipes.every((r, i) => {
		const later = recipes.slice(i);
		const pouredS = later.reduce((sum, l) => sum + l.pot!.pouredS, 0) + NEXT_CUP_S * (later.length - 1);
		return pouredS + lastS <= r.pot!.liquidS;
	});
}

/** Which pulls may share a closing, each kind of them asked once. */
class Joins {
	readonly #known = new Map<string, boolean>();
	readonly #kinds = new Map<PullToPlan, number>();
	readonly #kindsOf = new Map<string, number>();
	readonly #workshop: Workshop;
	constructor(workshop: Workshop) {
		this.#workshop = workshop;
	}

	may(pulls: readonly PullToPlan[]): boolean {
		const kinds = pulls.map((p) => this.#kindOf(p));
		const key = (kinds.length === 2 && kinds[0]! <= kinds[1]! ? kinds : kinds.sort((a, b) => a - b)).join();
		let known = this.#known.get(key);
		if (known === undefined) this.#known.set(key, (known = this.#ask(pulls)));
		return known;
	}

	/** Pulls of one kind join the same others. */
	#kindOf(pull: PullToPlan): number {
		let kind = this.#kinds.get(pull);
		if (kind !== undefined) return kind;
		const words = `${pull.line.id}/${pull.recipe.batch}/${pull.moulds.join()}`;
		kind = this.#kindsOf.get(words) ?? this.#kindsOf.size;
		this.#kindsOf.set(words, kind);
		this.#kinds.set(pull, kind);
		return kind;
	}

	#ask(pulls: readonly PullToPlan[]): boolean {
		const [first] = pulls;
		const moulds = pulls.flatMap((p) => p.moulds);
		return (
			pulls.every(
				({ recipe: r }) =>
					r.pot !== undefined &&
					r.holdS > 0 &&
					r.blocks.length === 1 &&
					r.flexibleS === null &&
					r.potId === first!.recipe.potId &&
					r.pot.gaugeKpa === first!.recipe.pot?.gaugeKpa
			) &&
			new Set(moulds).size === moulds.length &&
			inTime(inTurn(pulls).map((p) => p.recipe)) &&
			this.#fits(pulls)
		);
	}

	#fits(pulls: readonly PullToPlan[]): boolean {
		const vessel = this.#workshop.pots.find((p) => p.id === pulls[0]!.recipe.potId)?.vessel;
		const bodies = pulls.flatMap((p) =>
			p.recipe.mouldIds.map((id) => this.#workshop.moulds.find((m) => m.id === id)?.body)
		);
		const known = bodies.filter((b) => b !== undefined);
		if (!vessel || known.length < bodies.length) return false;
		const { left, freeL } = planLoad(vessel, known, { altitudeM: 0 });
		return left.length === 0 && freeL > 0;
	}
}

/** So long a closing waits for a mould that is about to be empty, s. */
const WAITS_S = 900;

/** A plan in which every closing is for itself: what is cast when, and which lines are late all the same. */
export interface PlannedAlone {
	/** When hands turn to each pull's cast, and until when its moulds are taken, s, by pull. */
	times: ReadonlyMap<string, { castS: number; outS: number }>;
	lateLines: ReadonlySet<string>;
}

/**
 * Which pulls could go into a pot together: those that did by the plan before, then each with the first after it that
 * fits beside it and whose cup is poured while the others are still liquid.
 * @param before starts of the plan before, s
 * @param alone where it is known: pulls join in its order, where nothing waits for a mould that is still taken, and
 *   what is late waits for the cup of nothing that is not
 * @returns all of them, those that were there before, and whatever could share a closing with anything
 */
export function potLoadsOf(
	workshop: Workshop,
	pulls: readonly PullToPlan[],
	before: Starts = {},
	alone?: PlannedAlone
): { loads: PotLoad[]; kept: PotLoad[]; joinable: ReadonlySet<string> } {
	const joins = new Joins(workshop);
	const potted = inOrderOf(
		pulls.filter((p) => p.recipe.potId !== null && p.recipe.pot),
		alone
	);
	const byId = new Map(potted.map((p) => [p.id, p]));
	const taken = new Set<string>();
	const loads: PotLoad[] = [];
	const take = (group: readonly PullToPlan[]) => {
		const ids = inTurn(group).map((p) => p.id);
		ids.forEach((id) => taken.add(id));
		loads.push(ids);
	};
	for (const ids of potLoadsAt(potted, before)) {
		const group = ids.map((id) => byId.get(id)!);
		if (joins.may(group)) take(group);
	}
	const kept = [...loads];
	const joinable = new Set<string>();
	const turns = new Turns(potted, alone);
	const isLate = (p: PullToPlan) => alone?.lateLines.has(p.line.id) ?? false;
	const isOpen = (a: PullToPlan, b: PullToPlan) =>
		!taken.has(a.id) && !taken.has(b.id) && isLate(a) === isLate(b);
	for (const [i, pull] of potted.entries()) {
		const group = [pull];
		for (const other of potted.slice(i + 1)) {
			if (!joins.may([pull, other])) continue;
			joinable.add(pull.id).add(other.id);
			if (isOpen(pull, other) && turns.isFree(other, pull) && joins.may([...group, other])) group.push(other);
		}
		if (group.length < 2) continue;
		take(group);
		for (const other of group.slice(1)) turns.join(other, pull);
	}
	return { loads, kept, joinable };
}

const inOrderOf = (pulls: PullToPlan[], alone?: PlannedAlone) =>
	alone
		? pulls.toSorted((a, b) => (alone.times.get(a.id)?.castS ?? 0) - (alone.times.get(b.id)?.castS ?? 0))
		: pulls;

/** Which moulds stand empty when: by a plan in which each pull goes in alone, and by what was moved to join another. */
class Turns {
	readonly #alone: PlannedAlone | undefined;
	/** The pulls whose moulds each takes over. */
	readonly #from = new Map<string, string[]>();
	readonly #movedS = new Map<string, number>();

	constructor(inOrder: readonly PullToPlan[], alone?: PlannedAlone) {
		this.#alone = alone;
		const last = new Map<string, string>();
		for (const p of inOrder) {
			this.#from.set(
				p.id,
				p.moulds.flatMap((m) => last.get(m) ?? [])
			);
			for (const m of p.moulds) last.set(m, p.id);
		}
	}

	/** Whether it can be poured beside the first, or all but so. */
	isFree(other: PullToPlan, first: PullToPlan): boolean {
		if (!this.#alone) return true;
		return this.#from.get(other.id)!.every((id) => this.#outS(id) <= this.#castS(first.id) + WAITS_S);
	}

	/** It goes in with the first, and comes out so much sooner. */
	join(other: PullToPlan, first: PullToPlan): void {
		this.#movedS.set(other.id, this.#castS(first.id) - this.#castS(other.id));
	}

	#castS = (id: string) => this.#alone?.times.get(id)?.castS ?? 0;
	#outS = (id: string) => (this.#alone?.times.get(id)?.outS ?? Infinity) + (this.#movedS.get(id) ?? 0);
}

/** The loads that starts tell of: whatever is cast in a pot and has no hold of its own stands in that of another. */
export function potLoadsAt(pulls: readonly PullToPlan[], starts: Starts): PotLoad[] {
	const potted = pulls.filter((p) => p.recipe.pot && starts[`${p.id}/cast`] !== undefined);
	const held = potted.filter((p) => starts[`${p.id}/hold`] !== undefined);
	return held.flatMap((first) => {
		const [fromS, untilS] = [starts[`${first.id}/cast`]!, starts[`${first.id}/hold`]!];
		const more = potted.filter((p) => {
			const atS = starts[`${p.id}/cast`]!;
			const own = starts[`${p.id}/hold`] !== undefined;
			return !own && p.recipe.potId === first.recipe.potId && atS >= fromS && atS < untilS;
		});
		const inTurnOf = more.toSorted((a, b) => starts[`${a.id}/cast`]! - starts[`${b.id}/cast`]!);
		return more.length > 0 ? [[first.id, ...inTurnOf.map((p) => p.id)]] : [];
	});
}

/**
 * The loads that can stand when moulds take their pulls in this order: of those that wait for each other some go in alone.
 */
export function untangled(pulls: readonly PullToPlan[], loads: readonly PotLoad[]): PotLoad[] {
	const byId = new Map(pulls.map((p) => [p.id, p]));
	const loadOf = new Map<string, PotLoad>();
	for (const load of loads) if (load.every((id) => byId.has(id))) for (const id of load) loadOf.set(id, load);
	// most plans have none
	if (loadOf.size === 0) return [];
	const queues = new Map<string, string[]>();
	for (const p of pulls)
		for (const m of p.moulds) {
			const queue = queues.get(m);
			if (queue) queue.push(p.id);
			else queues.set(m, [p.id]);
		}
	const isNext = (id: string) => byId.get(id)!.moulds.every((m) => queues.get(m)![0] === id);
	const kept: PotLoad[] = [];
	const open = new Set(pulls.map((p) => p.id));
	while (open.size > 0) {
		const heads = [...new Set([...queues.values()].flatMap((q) => q[0] ?? []))].filter(isNext);
		const ready = heads.find((id) => loadOf.get(id)?.every(isNext) ?? true);
		if (ready === undefined) {
			// all of them wait for one another: one of them goes in alone, or moulds are not in any order
			const knot = heads.map((id) => loadOf.get(id)).find((load) => load !== undefined);
			if (!knot) return kept;
			for (const id of knot) loadOf.delete(id);
			continue;
		}
		const load = loadOf.get(ready);
		if (load) kept.push(load);
		for (const id of load ?? [ready]) {
			open.delete(id);
			for (const m of byId.get(id)!.moulds) queues.get(m)!.shift();
		}
	}
	return kept;
}
