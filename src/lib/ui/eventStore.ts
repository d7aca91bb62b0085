import { openDB, type IDBPDatabase } from 'idb';

interface Kept {
	id: string;
}
/** An event that waits to be sent, with where it belongs. */
export interface Waiting<E extends Kept = Kept> {
	/** The pour, or the mould that is being made. */
	ownerId: string;
	/** Where its events are sent. */
	url: string;
	event: E;
}

/** Events that happened on this device and that the server has not yet confirmed, and what it knew of late. */
export interface EventStore {
	/** @param url where the events of this pour, or of this mould, are sent */
	add(ownerId: string, event: Kept, url: string): Promise<void>;
	pending<E extends Kept>(ownerId: string): Promise<E[]>;
	/** Everything that waits, of whatever pour or mould. */
	waiting(): Promise<Waiting[]>;
	confirmed(ids: readonly string[]): Promise<void>;
	/** Keeps what is known of a pour or mould, for a page that has to be opened without the server. */
	remember(ownerId: string, events: readonly Kept[]): Promise<void>;
	remembered<E extends Kept>(ownerId: string): Promise<E[]>;
}

const STORE = 'events';
const KNOWN = 'known';
/** Pours and moulds that are remembered; the oldest goes first. */
const REMEMBERED = 30;

/** Kept in the browser's own database, written through to disk: a killed browser loses nothing. */
export function browserEventStore(): EventStore {
	let opened: Promise<IDBPDatabase> | undefined;
	const database = () =>
		(opened ??= openDB('anthypos-bench', 1, {
			upgrade(db) {
				db.createObjectStore(STORE, { keyPath: 'event.id' }).createIndex('pour', 'pourId');
			}
		}));
	// a database of its own: one that is upgraded waits for every old page to be closed, and with it what is to be sent
	let memory: Promise<IDBPDatabase> | undefined;
	const known = () =>
		(memory ??= openDB('anthypos-known', 1, {
			upgrade(db) {
				db.createObjectStore(KNOWN, { keyPath: 'ownerId' }).createIndex('at', 'atMs');
			}
		}));
	return {
		async add(ownerId, event, url) {
			const tx = (await database()).transaction(STORE, 'readwrite', { durability: 'strict' });
			await Promise.all([tx.store.put({ pourId: ownerId, url, event }), tx.done]);
		},
		async pending<E extends Kept>(ownerId: string) {
			const rows = (await (await database()).getAllFromIndex(STORE, 'pour', ownerId)) as { event: E }[];
			return rows.map((row) => row.event);
		},
		async waiting() {
			const rows = (await (await database()).getAll(STORE)) as {
				pourId: string;
				url?: string;
				event: Kept;
			}[];
			return rows.map(({ pourId, url, event }) => ({
				ownerId: pourId,
				url: url ?? `/api/pours/${pourId}/events`,
				event
			}));
		},
		async confirmed(ids) {
			const tx = (await database()).transaction(STORE, 'readwrite');
			await Promise.all([...ids.map((id) => tx.store.delete(id)), tx.done]);
		},
		async remember(ownerId, events) {
			const tx = (await known()).transaction(KNOWN, 'readwrite');
			await tx.store.put({ ownerId, events: [...events], atMs: Date.now() });
			const oldestFirst = await tx.store.index('at').getAllKeys();
			const gone = oldestFirst.slice(0, Math.max(0, oldestFirst.length - REMEMBERED));
			await Promise.all([...gone.map((key) => tx.store.delete(key)), tx.done]);
		},
		async remembered<E extends Kept>(ownerId: string) {
			const row = (await (await known()).get(KNOWN, ownerId)) as { events: E[] } | undefined;
			return row?.events ?? [];
		}
	};
}
