import { createHash } from 'node:crypto';
import type { MessagePort } from 'node:worker_threads';
import { unzipSync, type Unzipped } from 'fflate';
import { BACKUP_TABLE_NAMES, checkBackup, upgradeBackup, type BackupTable } from '../../core/openData';
import { refusal, type Outcome } from '../../core/outcome';
import type { FieldError } from '../../core/fieldErrors';
import { pictureTypeOf } from '../pictureTypes';
import type { BookMessage, BookRow } from './book';

/** What a packed book may grow to, bytes: past it a small file fills the memory. */
const MOST_UNPACKED = 1024 * 1024 * 1024;
/** Rows that are handed over at once: few enough that the server answers others between. */
const BITE = 100;
/** Problems that are told. */
const MOST_TOLD = 100;

type Tables = Record<BackupTable, BookRow[]>;

const sha256 = (bytes: Uint8Array) => createHash('sha256').update(bytes).digest('hex');

function unpack(bytes: Uint8Array): Unzipped {
	let size = 0;
	const files = unzipSync(bytes, {
		filter: (f) => {
			size += f.originalSize;
			return size <= MOST_UNPACKED && /^(workshop\.json|(photos|meshes)\/[0-9a-f]{64})$/.test(f.name);
		}
	});
	if (size > MOST_UNPACKED) throw new Error('too large');
	return files;
}

/** The book and its files, checked; or what is wrong with it. */
function checked(bytes: Uint8Array): Outcome<{ tables: Tables; files: Unzipped | undefined }> {
	const packed = bytes[0] === 0x50 && bytes[1] === 0x4b;
	let files: Unzipped = {};
	let text: string;
	try {
		if (packed) {
			files = unpack(bytes);
			if (!files['workshop.json']) return refusal('There is no workshop.json in this zip.');
		}
		text = new TextDecoder('utf-8', { fatal: true }).decode(packed ? files['workshop.json'] : bytes);
	} catch {
		return refusal('This file cannot be read: it is damaged, or no book of a workshop.');
	}
	let book: unknown;
	try {
		book = upgradeBackup(JSON.parse(text));
	} catch {
		return refusal('This is no JSON: it is damaged or cut off.');
	}
	const problems = checkBackup(book);
	if (problems.length > 0) {
		const told = problems.slice(0, MOST_TOLD).map((p): FieldError => ({ path: p.where, message: p.message }));
		return {
			ok: false,
			errors: [{ path: '', message: `Nothing was read: ${problems[0]!.message}` }, ...told]
		};
	}
	const { tables } = book as { tables: Tables };
	if (!packed) return { ok: true, value: { tables, files: undefined } };
	const wrong = damaged(tables, files);
	return wrong === undefined ? { ok: true, value: { tables, files } } : refusal(wrong, 'files');
}

/** What is wrong with a picture or 3D file of a zip, in words. */
function damaged(tables: Tables, files: Unzipped): string | undefined {
	for (const [folder, rows] of [
		['photos', tables.photos],
		['meshes', tables.meshes]
	] as const)
		for (const row of rows) {
			const name = `${folder}/${String(row['sha256'])}`;
			const bytes = files[name];
			if (!bytes) return `The book names ${name} and the file does not hold it: take the whole zip.`;
			if (sha256(bytes) !== row['sha256'])
				return `${name} is damaged: its content is not what the book says.`;
			if (folder === 'photos' && pictureTypeOf(bytes) !== row['mime'])
				return `${name} is not the picture that the book says it is.`;
		}
	return undefined;
}

/** Columns that point to a picture, and tables that are nothing but files or what points to them. */
const POINTS_TO_PHOTO: Readonly<Partial<Record<BackupTable, string>>> = { masters: 'photoId' };
const ONLY_FILES: readonly BackupTable[] = [
	'photos',
	'meshes',
	'mould_photos',
	'pull_photos',
	'container_photos'
];

/** The rows of a book of which the files are missing: what was measured from a 3D file stays; the file does not. */
function rowsWithout(tables: Tables, table: BackupTable): BookRow[] {
	if (ONLY_FILES.includes(table)) return [];
	const column = POINTS_TO_PHOTO[table];
	return column ? tables[table].map((row) => ({ ...row, [column]: null })) : tables[table];
}

function* bites({ tables, files }: { tables: Tables; files: Unzipped | undefined }): Generator<BookMessage> {
	for (const table of BACKUP_TABLE_NAMES) {
		const rows = files ? tables[table] : rowsWithout(tables, table);
		const folder = table === 'photos' || table === 'meshes' ? table : undefined;
		// a row with its file goes alone
		const size = folder ? 1 : BITE;
		for (let at = 0; at < rows.length; at += size) {
			const bite = rows.slice(at, at + size);
			const file = folder && files?.[`${folder}/${String(bite[0]!['sha256'])}`];
			yield { kind: 'bite', table, rows: bite, ...(file ? { file } : {}) };
		}
	}
	yield { kind: 'end' };
}

/**
 * Opens a book and hands it over through the port: first what it lacks, then, each time it is asked for the next bite,
 * some rows. `again` starts from the first row.
 */
export function openBook(bytes: Uint8Array, port: MessagePort): Promise<Outcome<null>> {
	const book = checked(bytes);
	if (!book.ok) {
		port.close();
		return Promise.resolve(book);
	}
	const { tables, files } = book.value;
	let rest = bites(book.value);
	return new Promise((resolve) => {
		port.on('message', (asked: 'next' | 'again' | 'close') => {
			if (asked === 'again') rest = bites(book.value);
			if (asked !== 'close') port.postMessage(rest.next().value ?? { kind: 'end' });
			else port.close();
		});
		port.once('close', () => resolve({ ok: true, value: null }));
		port.postMessage({
			kind: 'opened',
			photosLacking: files ? 0 : tables.photos.length,
			meshesLacking: files ? 0 : tables.meshes.length
		} satisfies BookMessage);
	});
}
