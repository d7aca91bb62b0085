import { atHand, BATCH, postEvents } from './eventPost';
import { browserEventStore, type EventStore, type Waiting } from './eventStore';
import { CLOCKS_CHANGED } from './clockText';

const EVERY_MS = 4000;

/** What waits of one pour, or of one mould that is made. */
interface Unsent {
	ownerId: string;
	/** Its page at the bench. */
	href: string;
	count: number;
	/** Why the server will not have some of it. */
	refused: string;
}

/** The bench page to which events of this address belong. */
export function benchOf(url: string): string {
	const [, what, id] = /^\/api\/(pours|makings)\/([^/]+)\/events$/.exec(url) ?? [];
	return what === 'makings' ? `/moulds/${id}/make` : `/pour/${id}`;
}

/**
 * Sends what earlier pages of this device could not: a pour that was left, or whose browser was killed, reaches
 * the server from whatever page is opened next.
 */
export class Outbox {
	unsent = $state.raw<readonly Unsent[]>([]);
	#busy = false;

	/** Begins to send; returns what stops it. Browser only. */
	start(store: EventStore = browserEventStore()): () => void {
		const wake = () => void this.#round(store);
		wake();
		const timer = setInterval(wake, EVERY_MS);
		window.addEventListener('online', wake);
		return () => {
			clearInterval(timer);
			window.removeEventListener('online', wake);
		};
	}

	async #round(store: EventStore): Promise<void> {
		if (this.#busy) return;
		this.#busy = true;
		try {
			const rows = (await store.waiting()).filter((w) => !atHand.has(w.ownerId));
			const owners = rows.map((w) => w.ownerId).filter((id, i, all) => all.indexOf(id) === i);
			const left: Unsent[] = [];
			for (const ownerId of owners) {
				const still = await this.#sendOf(
					store,
					rows.filter((w) => w.ownerId === ownerId)
				);
				if (still) left.push(still);
			}
			if (this.unsent.length > 0 || left.length > 0) this.unsent = left;
		} catch {
			// a browser that keeps no database has nothing waiting in it
		} finally {
			this.#busy = false;
		}
	}

	/** What the server will not have: given to the maker as a file, and no longer sent. */
	async putAway(ownerId: string, store: EventStore = browserEventStore()): Promise<Blob> {
		const rows = (await store.waiting()).filter((w) => w.ownerId === ownerId);
		const file = new Blob([JSON.stringify(rows, null, '\t')], { type: 'application/json' });
		await store.confirmed(rows.map((w) => w.event.id));
		this.unsent = this.unsent.filter((u) => u.ownerId !== ownerId);
		return file;
	}

	async #sendOf(store: EventStore, rows: readonly Waiting[]): Promise<Unsent | undefined> {
		const { ownerId, url } = rows[0]!;
		const inOrder = rows.map((w) => w.event as { id: string; atMs?: number });
		inOrder.sort((a, b) => (a.atMs ?? 0) - (b.atMs ?? 0));
		let [taken, refused] = [0, ''];
		try {
			for (let i = 0; i < inOrder.length; i += BATCH) {
				const posted = await postEvents(url, inOrder.slice(i, i + BATCH));
				await store.confirmed(posted.taken);
				taken += posted.taken.length;
				refused ||= [...posted.refused.values()][0] ?? '';
			}
		} catch {
			// no network: the next round tries again
		}
		if (taken > 0) window.dispatchEvent(new Event(CLOCKS_CHANGED));
		const count = rows.length - taken;
		return count > 0 ? { ownerId, href: benchOf(url), count, refused } : undefined;
	}
}
