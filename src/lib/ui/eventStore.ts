import { openDB, type IDBPDatabase } from 'idb';
import type { PourEvent } from '$lib/core/pour';

/** Events that happened on this device and that the server has not yet confirmed. */
export interface EventStore {
	add(pourId: string, event: PourEvent): Promise<void>;
	pending(pourId: string): Promise<PourEvent[]>;
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
		async pending(pourId) {
			const rows = (await (await database()).getAllFromIndex(STORE, 'pour', pourId)) as {
				event: PourEvent;
			}[];
			return rows.map((row) => row.event);
		},
		async confirmed(ids) {
			const tx = (await database()).transaction(STORE, 'readwrite');
			await Promise.all([...ids.map((id) => tx.store.delete(id)), tx.done]);
		}
	};
}
