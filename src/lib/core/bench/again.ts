import type { PourEvent } from './events';
import type { PourState } from './reduce';

/** So long what was done once holds for the next pull of a run, ms, by its step or kind of event; common practice, no source. */
const HOLDS_MS: Readonly<Record<string, number>> = {
	look: 12 * 3_600_000,
	spares: 12 * 3_600_000,
	// what settles in a tin stands up for an afternoon
	shake: 4 * 3_600_000,
	air: 3_600_000,
	'air-read': 3_600_000
};

/** A pull of a run of the same cast. */
export interface Series {
	/** The pour with which the run began. */
	first: string;
	/** Which pull of it this is, from 1. */
	number: number;
	/** How many are wanted in all; nobody said where it is left out. */
	wanted?: number | undefined;
}

/**
 * The next pull of the run that a pour belongs to, or begins.
 * @param id of that pour
 * @param wanted how many in all, where that is said now
 * @example
 * nextOf('a', undefined, 40); // { first: 'a', number: 2, wanted: 40 }
 */
export function nextOf(id: string, series: Series | undefined, wanted?: number): Series {
	const all = wanted ?? series?.wanted;
	return {
		first: series?.first ?? id,
		number: (series?.number ?? 1) + 1,
		...(all === undefined ? {} : { wanted: all })
	};
}

/**
 * What was done once and still holds for the next pull of the same cast: the mould looked over, spare moulds laid out,
 * tins stirred, the room read. Each is an event of the next pour at the time when it really happened, so that it is told
 * from what was done anew, and can be taken back. A mould that gave scrap is looked over again.
 * @param idOf an id for each event, by its place
 * @example
 * carriedOver(doneAt({ look: 0, shake: 60, combine: 90 }), { grades: {} }, doneAt({ combine: 90 })[0].atMs, (n) => `${n}`)
 *   .map((e) => e.stepId); // ['look', 'shake']
 */
export function carriedOver(
	events: readonly PourEvent[],
	state: Pick<PourState, 'grades'>,
	nowMs: number,
	idOf: (n: number) => string
): PourEvent[] {
	const undone = new Set(events.flatMap((e) => (e.kind === 'undone' ? [e.eventId] : [])));
	const scrapped = Object.values(state.grades).some((g) => g.grade === 'scrap');
	const last = new Map<string, PourEvent>();
	for (const event of events) {
		if (undone.has(event.id)) continue;
		const step = event.kind === 'step-done' ? event.stepId : event.kind;
		const holdsMs = HOLDS_MS[step];
		if (holdsMs === undefined || nowMs - event.atMs > holdsMs) continue;
		if (step === 'look' && scrapped) continue;
		const known = last.get(step);
		if (!known || known.atMs < event.atMs) last.set(step, event);
	}
	return [...last.values()].sort((a, b) => a.atMs - b.atMs).map((event, n) => ({ ...event, id: idOf(n) }));
}
