import { formatTime } from '../units';
import type { OrdersPlan, Planned } from './planOrders';
import { STAYS_MS } from './settled';
import type { Part } from './parts';

/** An activity that is elsewhere in a new plan. */
export interface Moved {
	id: string;
	part: Part;
	fromMs: number;
	toMs: number;
	pieceName: string;
	number: number;
}

/** What a new plan does otherwise than the one before. */
export interface PlanDifferences {
	moved: Moved[];
	/** Pulls that are new, and that are wanted no more. */
	added: number;
	dropped: number;
	/** Sentences, the weightiest first. */
	words: string[];
}

const NOUNS: Partial<Record<Part, [string, string]>> = {
	prep: ['mould to prepare', 'moulds to prepare'],
	cast: ['cast', 'casts'],
	layer: ['layer', 'layers'],
	demould: ['demould', 'demoulds'],
	finish: ['finishing', 'finishings'],
	make: ['successor mould', 'successor moulds']
};

/**
 * What changes between two plans, in words. What has begun since is no change.
 * @param nameOf an order by its id
 * @param dayOf a moment in words
 * @example
 * planDifferences(planOrders(ammonites), planOrders(ammonites), (id) => id, String).words; // []
 */
export function planDifferences(
	before: Pick<OrdersPlan, 'activities' | 'orders'>,
	after: Pick<OrdersPlan, 'activities' | 'orders' | 'madeAtMs'>,
	nameOf: (orderId: string) => string,
	dayOf: (ms: number) => string
): PlanDifferences {
	const old = new Map(before.activities.map((a) => [a.id, a]));
	const now = new Map(after.activities.map((a) => [a.id, a]));
	const moved = after.activities.flatMap((a) => {
		const was = old.get(a.id);
		return was && a.hands > 0 && Math.abs(was.startMs - a.startMs) > STAYS_MS
			? [
					{
						id: a.id,
						part: a.part,
						fromMs: was.startMs,
						toMs: a.startMs,
						pieceName: a.pieceName ?? '',
						number: a.number ?? 0
					}
				]
			: [];
	});
	const casts = (list: readonly Planned[], other: ReadonlyMap<string, Planned>) =>
		list.filter((a) => a.part === 'cast' && !other.has(a.id) && a.startMs > after.madeAtMs).length;
	const added = casts(after.activities, old);
	const dropped = casts(before.activities, now);
	const words = after.orders.flatMap((o) => {
		const was = before.orders.find((b) => b.id === o.id);
		if (!was || was.readyAtMs === o.readyAtMs) return [];
		const name = nameOf(o.id);
		if (o.readyAtMs === null) return [`${name} cannot be planned whole any more.`];
		if (was.readyAtMs === null) return [`${name} can be planned whole again: ready ${dayOf(o.readyAtMs)}.`];
		if (Math.abs(o.readyAtMs - was.readyAtMs) <= STAYS_MS) return [];
		const by = formatTime(Math.abs(o.readyAtMs - was.readyAtMs) / 1000);
		const late = o.lateMs > 0 ? `${formatTime(o.lateMs / 1000)} late` : 'in time';
		return [
			`${name}: ${by} ${o.readyAtMs > was.readyAtMs ? 'later' : 'sooner'}, ready ${dayOf(o.readyAtMs)}, ${late}.`
		];
	});
	const byDay = new Map<string, number>();
	for (const m of moved) {
		const noun = NOUNS[m.part];
		if (!noun) continue;
		const key = `${m.part}\n${dayOf(m.toMs).split(',')[0]}`;
		byDay.set(key, (byDay.get(key) ?? 0) + 1);
	}
	for (const [key, count] of byDay) {
		const [p, day] = key.split('\n') as [Part, string];
		words.push(`${count} ${NOUNS[p]![count === 1 ? 0 : 1]} ${count === 1 ? 'moves' : 'move'} to ${day}.`);
	}
	if (added > 0) words.push(`${added} ${added === 1 ? 'cast is' : 'casts are'} new.`);
	if (dropped > 0) words.push(`${dropped} ${dropped === 1 ? 'cast is' : 'casts are'} wanted no more.`);
	return { moved, added, dropped, words };
}
