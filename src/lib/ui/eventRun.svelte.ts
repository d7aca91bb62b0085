import { browserEventStore, type EventStore } from './eventStore';
import { CLOCKS_CHANGED } from './clockText';
import { newId } from './newId';

type Omitted<T> = T extends unknown ? Omit<T, 'id' | 'atMs'> : never;
/** What happened, without the id and the moment that recording gives it. */
export type HappeningOf<E> = Omitted<E>;
interface Happened {
	id: string;
	atMs: number;
}

const SYNC_EVERY_MS = 2000;
/** Events that go out together; the server takes a few times as many. */
const BATCH = 100;
/** A request that is not answered within this is given up and made again, ms: a lost connection is not always told. */
const GIVE_UP_MS = 15_000;
/** Refused events that are asked again in each round. */
const HELD_A_ROUND = 5;

/**
 * Work at the bench as this device knows it: the server's events and its own, in one list. Recording works
 * without a network; what was not confirmed is kept in the browser and sent again until it is.
 */
export class EventRun<E extends Happened> {
	readonly id: string;
	/** Where events are read and sent, such as `/api/pours/…/events`. */
	readonly #url: string;
	protected events = $state.raw<readonly E[]>([]);
	#lastSeq: number;
	/** Events that the server has not confirmed. */
	unsent = $state(0);
	/** A refusal by the server, which sending again would not mend. */
	refused = $state('');
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
		const wake = () => void this.sync();
		void store
			.pending<E>(this.id)
			.then((events) => {
				this.#merge(events);
				this.unsent = events.length;
			})
			.catch(() => undefined)
			.finally(wake);
		const timer = setInterval(wake, SYNC_EVERY_MS);
		window.addEventListener('online', wake);
		return () => {
			clearInterval(timer);
			window.removeEventListener('online', wake);
		};
	}

	/** The present moment of this work. */
	nowMs(): number {
		return Date.now();
	}

	/** Notes that something happened now, here. On screen at once; kept, then sent. */
	record(...happenings: HappeningOf<E>[]): void {
		this.add(happenings, Math.round(this.nowMs()));
	}

	/** Notes what happened earlier; marked with the moment at which it was written down. */
	recordLate(atMs: number, ...happenings: HappeningOf<E>[]): void {
		const enteredAtMs = Math.round(this.nowMs());
		this.add(
			happenings.map((h) => ({ ...h, enteredAtMs }) as HappeningOf<E>),
			Math.round(atMs)
		);
	}

	protected add(happenings: readonly HappeningOf<E>[], atMs: number): void {
		// one press may note several things: a millisecond apart they keep their order everywhere
		const events = happenings.map((h, i) => ({ ...h, id: newId(), atMs: atMs + i }) as unknown as E);
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
				await this.#store?.add(this.id, event);
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
			const response = await fetch(`${this.#url}?after=${this.#lastSeq}`, {
				signal: AbortSignal.timeout(GIVE_UP_MS)
			});
			if (!response.ok) return;
			const { events, lastSeq } = (await response.json()) as { events: E[]; lastSeq: number };
			this.#merge(events);
			this.#lastSeq = lastSeq;
		} catch {
			// no network: the next round tries again
		} finally {
			this.#syncing = false;
		}
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

	/** Sends some events; where they are refused together, each alone, so that one of them does not stop the others. */
	async #sendTogether(events: readonly E[], waiting: Map<string, E>): Promise<void> {
		const response = await fetch(this.#url, {
			method: 'POST',
			headers: { 'content-type': 'application/json' },
			body: JSON.stringify({ events }),
			signal: AbortSignal.timeout(GIVE_UP_MS)
		});
		if (response.ok) {
			const ids = events.map((e) => e.id);
			for (const id of ids) {
				this.#unkept.delete(id);
				this.#held.delete(id);
				waiting.delete(id);
			}
			await this.#store?.confirmed(ids).catch(() => undefined);
			window.dispatchEvent(new Event(CLOCKS_CHANGED));
		} else if (response.status === 422 || response.status === 404) {
			if (events.length > 1 && response.status === 422) {
				for (const e of events) await this.#sendTogether([e], waiting);
				return;
			}
			const { errors } = (await response.json()) as { errors: { message: string }[] };
			const said = errors[0]?.message ?? 'The server refused what was noted.';
			for (const e of events) this.#held.set(e.id, said);
		} else throw new Error(`The server answered ${response.status}.`);
	}
}
