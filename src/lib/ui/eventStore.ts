import { openDB, type IDBPDatabase } from 'idb';

interface Kept {
	id: string;
}

/** Events that happened on this device and that the server has not yet confirmed. */
export interface EventStore {
	/** `pourId` is that of the pour, or of the mould that is being made. */
	add(pourId: string, event: Kept): Promise<void>;
	pending<E extends Kept>(pourId: string): Promise<E[]>;
	confirmed(ids: readonly string[]): Promise<void>;
}

const STORE = 'events';

/** Kept in the browser's own database, written through to disk: a killed browser loses nothing. */
export function browserEventStore(): EventStore {
	let opened: Promise<IDBPDatabase> | undefined;
	const database = () =>
		(opened ??= openDB('anthypos-bench', 1, {
			upgrade(db) {
				db.createObjectStore(STORE, { keyPath: 'event.id' }).createIndex('pour', 'pourId');
			}
		}));
	return {
		async add(pourId, event) {
			const tx = (await database()).transaction(STORE, 'readwrite', { durability: 'strict' });
			await Promise.all([tx.store.put({ pourId, event }), tx.done]);
		},
		async pending<E extends Kept>(pourId: string) {
			const rows = (await (await database()).getAllFromIndex(STORE, 'pour', pourId)) as { event: E }[];
			return rows.map((row) => row.event);
		},
		async confirmed(ids) {
			const tx = (await database()).transaction(STORE, 'readwrite');
			await Promise.all([...ids.map((id) => tx.store.delete(id)), tx.done]);
		}
	};
}
