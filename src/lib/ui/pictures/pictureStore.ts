import { openDB, type IDBPDatabase } from 'idb';
import type { Stroke } from '$lib/photo/strokes';

/** A picture of a sitting as this device keeps it until the master is kept. */
export interface KeptPicture {
	/** By its content. */
	id: string;
	/** For which piece: a new one, or a master by its id. */
	piece: string;
	name: string;
	takenAtMs: number;
	kept: Blob;
	strokes: Stroke[];
}
/** What else was typed at a sitting. */
export interface KeptTyping {
	piece: string;
	rulerMm: number | undefined;
	flatTop: boolean;
	/** What water says of the volume, ml. */
	waterMl?: number | undefined;
}

const [PICTURES, TYPING] = ['pictures', 'typing'] as const;
/** Older than this a picture is forgotten, ms. */
const FORGOTTEN_MS = 30 * 86_400_000;

/** Pictures in the browser's own database, so that a closed page loses none. Whatever fails there throws. */
export class PictureStore {
	#opened: Promise<IDBPDatabase> | undefined;
	#database(): Promise<IDBPDatabase> {
		return (this.#opened ??= openDB('anthypos-pictures', 1, {
			upgrade(db) {
				db.createObjectStore(PICTURES, { keyPath: ['piece', 'id'] });
				db.createObjectStore(TYPING, { keyPath: 'piece' });
			}
		}));
	}
	async put(picture: KeptPicture): Promise<void> {
		await (await this.#database()).put(PICTURES, picture);
	}
	async drop(piece: string, id: string): Promise<void> {
		await (await this.#database()).delete(PICTURES, [piece, id]);
	}
	/** Pictures of a piece in the order in which they came; what is too old is forgotten on the way. */
	async all(piece: string, nowMs = Date.now()): Promise<KeptPicture[]> {
		const db = await this.#database();
		const rows = (await db.getAll(PICTURES)) as KeptPicture[];
		for (const old of rows.filter((r) => nowMs - r.takenAtMs > FORGOTTEN_MS))
			await this.drop(old.piece, old.id);
		return rows
			.filter((r) => r.piece === piece && nowMs - r.takenAtMs <= FORGOTTEN_MS)
			.sort((a, b) => a.takenAtMs - b.takenAtMs);
	}
	async type(typing: KeptTyping): Promise<void> {
		await (await this.#database()).put(TYPING, typing);
	}
	async typed(piece: string): Promise<KeptTyping | undefined> {
		return (await (await this.#database()).get(TYPING, piece)) as KeptTyping | undefined;
	}
	/** All of a piece is kept elsewhere now, or thrown away. */
	async clear(piece: string): Promise<void> {
		const db = await this.#database();
		for (const { id } of await this.all(piece)) await db.delete(PICTURES, [piece, id]);
		await db.delete(TYPING, piece);
	}
}
