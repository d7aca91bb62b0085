import { atHand, BATCH, GIVE_UP_MS, postEvents } from './eventPost';
import { browserEventStore, type EventStore } from './eventStore';
import { CLOCKS_CHANGED } from './clockText';
import { gloves } from './gloves.svelte';
import { newId } from './newId';

type Omitted<T> = T extends unknown ? Omit<T, 'id' | 'atMs'> : never;
/** What happened, without the id and the moment that recording gives it. */
export type HappeningOf<E> = Omitted<E>;
interface Happened {
	id: string;
	atMs: number;
}

const SYNC_EVERY_MS = 2000;
/** Refused events that are asked again in each round. */
const HELD_A_ROUND = 5;

/**
 * Work at the bench as this device knows it: the server's events and its own, in one list. Recording works
 * without a network; what was not confirmed is kept in the browser and sent again until it is.
 */
export class EventRun<E extends Happened, New extends E = E> {
	readonly id: string;
	/** Where events are read and sent, such as `/api/pours/…/events`. */
	readonly #url: string;
	protected events = $state.raw<readonly E[]>([]);
	#lastSeq: number;
	/** Events that the server has not confirmed. */
	unsent = $state(0);
	/** A refusal by the server, which sending again would not mend. */
	refused = $state('');
	/** What this device's clock lacks against the server's, ms, as of the last answer. */
	clockOffMs = $state(0);
	/** How many events were noted at this device, since its page was opened; those of others are not among them. */
	ownCount = 0;
	#store: EventStore | undefined;
	#syncing = false;

	constructor(id: string, url: string, known: { events: readonly E[]; lastSeq: number }) {
		this.id = id;
		this.#url = url;
		this.events = known.events;
		this.#lastSeq = known.lastSeq;
	}

	/** Begins to keep and exchange events; returns what stops it. Browser only. */
	start(store: EventStore = browserEventStore()): () => void {
		this.#store = store;
		atHand.add(this.id);
		const wake = () => void this.sync();
		void this.#recall(store).finally(wake);
		const timer = setInterval(wake, SYNC_EVERY_MS);
		window.addEventListener('online', wake);
		return () => {
			atHand.delete(this.id);
			clearInterval(timer);
			window.removeEventListener('online', wake);
		};
	}

	/** What this device knows of this work: what waits to be sent, and what the server had when it last answered. */
	async #recall(store: EventStore): Promise<void> {
		const [pending, remembered] = await Promise.all([
			store.pending<E>(this.id).catch(() => []),
			store.remembered<E>(this.id).catch(() => [])
		]);
		const here = [...this.events, ...pending].map((e) => e.id);
		this.#recalled = remembered.map((e) => e.id).filter((id) => !here.includes(id));
		this.#merge([...remembered, ...pending]);
		this.unsent = pending.length;
	}
	/** Remembered, but not yet seen on the server again; it may have been brought back to an earlier day. */
	#recalled: readonly string[] = [];

	/** The present moment of this work. */
	nowMs(): number {
		return Date.now();
	}

	/** Notes that something happened now, here. On screen at once; kept, then sent. */
	record(...happenings: HappeningOf<New>[]): void {
		this.add(happenings, Math.round(this.nowMs()));
	}

	/** Notes what happened earlier; marked with the moment at which it was written down. */
	recordLate(atMs: number, ...happenings: HappeningOf<New>[]): void {
		const enteredAtMs = Math.round(this.nowMs());
		this.add(
			happenings.map((h) => ({ ...h, enteredAtMs }) as HappeningOf<New>),
			Math.round(atMs)
		);
	}

	protected add(happenings: readonly HappeningOf<New>[], atMs: number): void {
		// one press may note several things: a millisecond apart they keep their order everywhere
		const who = gloves.mark ? { mark: gloves.mark } : {};
		const events = happenings.map((h, i) => ({ ...h, ...who, id: newId(), atMs: atMs + i }) as unknown as E);
		this.ownCount += events.length;
		this.#merge(events);
		this.keep(events);
	}

	/** Holds on to events until the server has them. */
	protected keep(events: readonly E[]): void {
		this.unsent += events.length;
		void this.#keepAndSend(events);
	}

	async #keepAndSend(events: readonly E[]): Promise<void> {
		for (const event of events) {
			try {
				await this.#store?.add(this.id, event, this.#url);
			} catch {
				// private windows may refuse a database: the event is still in memory and is sent below
			}
			this.#unkept.set(event.id, event);
		}
		await this.sync();
	}
	// eslint-disable-next-line svelte/prefer-svelte-reactivity -- only counted through `unsent`, never drawn
	readonly #unkept = new Map<string, E>();

	#merge(events: readonly E[]): void {
		const fresh = events.filter((e) => !this.events.some((known) => known.id === e.id));
		if (fresh.length > 0) this.events = [...this.events, ...fresh];
	}

	/** Sends what is not confirmed and fetches what other devices noted. Quiet when there is no network. */
	async sync(): Promise<void> {
		if (this.#syncing) return;
		this.#syncing = true;
		try {
			await this.#send();
			const after = this.#recalled.length > 0 ? 0 : this.#lastSeq;
			const askedMs = Date.now();
			const response = await fetch(`${this.#url}?after=${after}`, {
				signal: AbortSignal.timeout(GIVE_UP_MS)
			});
			if (!response.ok) return;
			const { events, lastSeq, nowMs } = (await response.json()) as {
				events: E[];
				lastSeq: number;
				nowMs?: number;
			};
			// the answer is as old as half of its way there and back
			if (nowMs !== undefined) this.clockOffMs = nowMs - (askedMs + Date.now()) / 2;
			this.#forget(events);
			this.#merge(events);
			this.#lastSeq = lastSeq;
			if (events.length > 0 || !this.#remembered)
				await this.#store?.remember(this.id, this.events).catch(() => undefined);
			this.#remembered = true;
		} catch {
			// no network: the next round tries again
		} finally {
			this.#syncing = false;
		}
	}

	#remembered = false;
	/** Remembered events that the server does not have after all are none. */
	#forget(all: readonly E[]): void {
		const there = all.map((e) => e.id);
		const gone = this.#recalled.filter((id) => !there.includes(id) && !this.#unkept.has(id));
		this.#recalled = [];
		if (gone.length > 0) this.events = this.events.filter((e) => !gone.includes(e.id));
	}

	/** Events that the server refused, with its sentence: they stay here, and hold nobody else up. */
	// eslint-disable-next-line svelte/prefer-svelte-reactivity -- said through `refused`, never drawn
	readonly #held = new Map<string, string>();

	async #send(): Promise<void> {
		const kept = (await this.#store?.pending<E>(this.id).catch(() => [])) ?? [];
		// eslint-disable-next-line svelte/prefer-svelte-reactivity -- lives for one round
		const waiting = new Map([...this.#unkept, ...kept.map((e) => [e.id, e] as const)]);
		this.unsent = waiting.size;
		if (waiting.size === 0) return;
		const inOrder = [...waiting.values()].sort((a, b) => a.atMs - b.atMs);
		try {
			const fresh = inOrder.filter((e) => !this.#held.has(e.id));
			for (let i = 0; i < fresh.length; i += BATCH)
				await this.#sendTogether(fresh.slice(i, i + BATCH), waiting);
			// what was refused once is asked again: the other side may have been mended
			for (const e of inOrder.filter((w) => this.#held.has(w.id)).slice(0, HELD_A_ROUND))
				await this.#sendTogether([e], waiting);
		} finally {
			// noted meanwhile, these have not been sent yet
			const since = [...this.#unkept.keys()].filter((id) => !waiting.has(id)).length;
			this.unsent = waiting.size + since;
			this.refused = [...this.#held.values()][0] ?? '';
		}
	}

	async #sendTogether(events: readonly E[], waiting: Map<string, E>): Promise<void> {
		const { taken, refused } = await postEvents(this.#url, events);
		for (const id of taken) {
			this.#unkept.delete(id);
			this.#held.delete(id);
			waiting.delete(id);
		}
		for (const [id, said] of refused) this.#held.set(id, said);
		if (taken.length === 0) return;
		// remembered before it is let go: the server may be gone before it can be asked again
		await this.#store?.remember(this.id, this.events).catch(() => undefined);
		await this.#store?.confirmed(taken).catch(() => undefined);
		window.dispatchEvent(new Event(CLOCKS_CHANGED));
	}
}
