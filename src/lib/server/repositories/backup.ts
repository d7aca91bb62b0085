import { QueryTypes, type Transaction } from 'sequelize';
import { BACKUP, BACKUP_TABLE_NAMES, BACKUP_TABLES, type BackupTable } from '$lib/core/openData';
import { db, inTransaction } from '../db/connection';
import { RefusedError } from '../errors';
import type { Bite } from '../heavy/book';
import { note, type Actor } from '../people/audit';
import { keepSteps } from './keptSteps';
import { markSimulated } from './simulated';
import { recount } from './mouldPulls';

type Row = Record<string, unknown>;
/** Rows that are read at once: few enough that others are answered between. */
const BITE = 100;

const columnsOf = (table: BackupTable): string[] => Object.keys(BACKUP_TABLES[table].shape);
const quoted = (names: readonly string[]) => names.map((n) => `\`${n}\``).join(', ');
/** Columns that hold JSON: their schema is a record or a list. */
const JSON_COLUMNS: ReadonlySet<string> = new Set([
	'body',
	'inputs',
	'plan',
	'making',
	'inspection',
	'result',
	'forecast'
]);

/** What the order of a table's rows is, so that two books of one workshop are the same to the letter. */
function orderOf(table: BackupTable): string {
	const columns = columnsOf(table);
	const keys = ['seq', 'id', 'sha256', 'pourId', 'containerId', 'pullId', 'fault', 'name'];
	return keys
		.filter((c) => columns.includes(c))
		.map((c) => `\`${c}\``)
		.join(', ');
}

function toBackupRow(row: Row): Row {
	return Object.fromEntries(
		Object.entries(row).map(([key, value]) => {
			if (value instanceof Date) return [key, value.toISOString()];
			if (JSON_COLUMNS.has(key) && typeof value === 'string') return [key, JSON.parse(value)];
			return [key, value];
		})
	);
}

async function* rowsOf(table: BackupTable, transaction: Transaction): AsyncGenerator<Row[]> {
	for (let offset = 0; ; offset += BITE) {
		const rows = await db().query<Row>(
			`SELECT ${quoted(columnsOf(table))} FROM ${table} ORDER BY ${orderOf(table)} LIMIT ${BITE} OFFSET ${offset}`,
			{ type: QueryTypes.SELECT, transaction }
		);
		if (rows.length > 0) yield rows.map(toBackupRow);
		if (rows.length < BITE) return;
	}
}

/** The whole workshop as JSON, written piece by piece, as it stood at one moment; that it was read out is noted first. */
export async function* writeBackup(
	now: Date,
	actor?: Actor,
	how = 'without pictures and 3D files'
): AsyncGenerator<string> {
	await note(actor, 'book-read', how);
	const transaction = await db().transaction({ isolationLevel: 'REPEATABLE READ' as never });
	try {
		yield `{"form":${JSON.stringify(BACKUP.form)},"version":${BACKUP.version},"writtenAt":${JSON.stringify(now.toISOString())},"tables":{`;
		for (const [i, table] of BACKUP_TABLE_NAMES.entries()) {
			yield `${i ? ',' : ''}\n${JSON.stringify(table)}:[`;
			let first = true;
			for await (const rows of rowsOf(table, transaction)) {
				yield `${first ? '\n' : ',\n'}${rows.map((r) => JSON.stringify(r)).join(',\n')}`;
				first = false;
			}
			yield ']';
		}
		yield '}}\n';
	} finally {
		await transaction.rollback();
	}
}

/** Pictures and 3D files, each under its content's name. */
export async function* backupFiles(): AsyncGenerator<{ name: string; bytes: Uint8Array }> {
	const photos = await db().query<{ id: string; sha256: string }>(
		'SELECT id, sha256 FROM photos ORDER BY sha256',
		{
			type: QueryTypes.SELECT
		}
	);
	for (const { id, sha256 } of photos) {
		const [row] = await db().query<{ bytes: Buffer }>('SELECT bytes FROM photos WHERE id = ?', {
			type: QueryTypes.SELECT,
			replacements: [id]
		});
		if (row) yield { name: `photos/${sha256}`, bytes: row.bytes };
	}
	const meshes = await db().query<{ sha256: string; uploadId: string; chunks: number }>(
		'SELECT sha256, uploadId, chunks FROM meshes ORDER BY sha256',
		{ type: QueryTypes.SELECT }
	);
	for (const { sha256, uploadId, chunks } of meshes) {
		const parts: Buffer[] = [];
		for (let n = 0; n < chunks; n++) {
			const [row] = await db().query<{ bytes: Buffer }>(
				'SELECT bytes FROM mesh_chunks WHERE uploadId = ? AND n = ?',
				{
					type: QueryTypes.SELECT,
					replacements: [uploadId, n]
				}
			);
			if (row) parts.push(row.bytes);
		}
		yield { name: `meshes/${sha256}`, bytes: Buffer.concat(parts) };
	}
}

/** Whether anything was entered already: a book is only read into an empty workshop. */
export async function isEmpty(transaction?: Transaction): Promise<boolean> {
	for (const table of ['materials', 'masters', 'moulds', 'shots', 'pulls', 'vessels', 'containers']) {
		const [row] = await db().query<{ n: number }>(`SELECT EXISTS (SELECT 1 FROM ${table}) AS n`, {
			type: QueryTypes.SELECT,
			...(transaction ? { transaction } : {})
		});
		if (Number(row!.n) === 1) return false;
	}
	return true;
}

const MESH_PIECE = 1024 * 1024;

function toDb(key: string, value: unknown): unknown {
	if (value === null || value === undefined) return null;
	if (JSON_COLUMNS.has(key)) return JSON.stringify(value);
	if (typeof value === 'string' && /^\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d\.\d{3}Z$/.test(value))
		return value.replace('T', ' ').replace('Z', '');
	return value;
}

/**
 * Reads a checked book into an empty workshop: all of it, or nothing.
 * @throws RefusedError when the workshop is not empty
 */
export async function readBackup(bites: () => AsyncIterable<Bite>, actor?: Actor): Promise<number> {
	return inTransaction(async (transaction) => {
		if (!(await isEmpty(transaction)))
			throw new RefusedError(
				'There is a workshop in these books already. A book is read only into an empty one.',
				undefined,
				409
			);
		let written = 0;
		// settings and counters of the empty workshop make room
		for (const table of ['settings', 'counters', 'experiences', 'saved_views', 'work_hours', 'plans'])
			await db().query(`DELETE FROM ${table}`, { transaction });
		for await (const { table, rows, file } of bites()) {
			const columns = columnsOf(table);
			for (const row of rows) {
				const extra: Row = table === 'photos' ? { bytes: Buffer.from(file!) } : {};
				const all = [...columns, ...Object.keys(extra)];
				await db().query(`INSERT INTO ${table} (${quoted(all)}) VALUES (${all.map(() => '?').join(', ')})`, {
					replacements: [...columns.map((c) => toDb(c, row[c])), ...Object.values(extra)],
					transaction
				});
				written++;
				if (table === 'meshes') await writeMesh(row, Buffer.from(file!), transaction);
			}
		}
		await recount(transaction);
		// a book of the version before holds what its simulated devices noted
		await markSimulated(transaction);
		await keepSteps(transaction);
		await note(actor, 'book-restored', `${written} rows`, transaction);
		return written;
	});
}

async function writeMesh(row: Row, bytes: Buffer, transaction: Transaction): Promise<void> {
	for (let n = 0; n * MESH_PIECE < bytes.length; n++)
		await db().query('INSERT INTO mesh_chunks (uploadId, n, bytes, createdAt) VALUES (?, ?, ?, ?)', {
			replacements: [
				row['uploadId'],
				n,
				bytes.subarray(n * MESH_PIECE, (n + 1) * MESH_PIECE),
				toDb('createdAt', row['createdAt'])
			],
			transaction
		});
}
