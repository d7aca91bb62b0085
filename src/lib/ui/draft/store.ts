import { openDB, type IDBPDatabase } from 'idb';

/** A form as it was being typed, on this device. */
export interface Draft {
	/** Page, form and tab: two tabs never overwrite each other. */
	key: string;
	/** Page and form. */
	place: string;
	/** Where it is gone on with, with its query. */
	href: string;
	/** What the page calls itself. */
	title: string;
	savedAtMs: number;
	/** The form before anything was typed: a record that was saved otherwise since differs from it. */
	base: Record<string, unknown>;
	data: Record<string, unknown>;
}

/** The shape in which drafts are kept; those of another one are thrown away, never half understood. */
const SHAPE = 1;
const STORE = `drafts-${SHAPE}`;
/** Older than this a draft is forgotten, ms. */
const FORGOTTEN_MS = 30 * 86_400_000;
/** More than so many are not kept; the oldest goes first. */
const MOST = 40;

/** Drafts of the browser's own database. Whatever fails there throws; a form goes on without. */
export class DraftStore {
	#opened: Promise<IDBPDatabase> | undefined;
	#database(): Promise<IDBPDatabase> {
		return (this.#opened ??= openDB('anthypos-drafts', SHAPE, {
			upgrade(db) {
				for (const old of db.objectStoreNames) db.deleteObjectStore(old);
				db.createObjectStore(STORE, { keyPath: 'key' });
			}
		}));
	}
	async put(draft: Draft): Promise<void> {
		const db = await this.#database();
		await db.put(STORE, draft);
		const all = await this.all();
		for (const old of all.slice(MOST)) await db.delete(STORE, old.key);
	}
	async drop(key: string): Promise<void> {
		await (await this.#database()).delete(STORE, key);
	}
	/** The newest first; what is too old is forgotten on the way. */
	async all(nowMs = Date.now()): Promise<Draft[]> {
		const db = await this.#database();
		const drafts = (await db.getAll(STORE)) as Draft[];
		const old = drafts.filter((d) => nowMs - d.savedAtMs > FORGOTTEN_MS);
		for (const d of old) await db.delete(STORE, d.key);
		return drafts.filter((d) => !old.includes(d)).sort((a, b) => b.savedAtMs - a.savedAtMs);
	}
}
