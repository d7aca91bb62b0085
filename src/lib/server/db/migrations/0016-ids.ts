import { QueryTypes } from 'sequelize';
import { WORDS_TO_IDS, type BackupTable } from '$lib/core/openData';
import { db } from '../connection';

/** Rows that are read and written at once. */
const BITE = 500;
/** Events of other kinds hold none of these words. */
const ONLY: Partial<Record<BackupTable, string>> = {
	pour_events: "kind = 'graded'",
	making_events: "kind = 'inspected'"
};
/** What tells a row of each table from the others. */
const KEYS: Partial<Record<BackupTable, readonly string[]>> = { pull_faults: ['pullId', 'fault'] };

const quoted = (names: readonly string[]) => names.map((n) => `\`${n}\``).join(', ');
const asText = (value: unknown) =>
	value !== null && typeof value === 'object' ? JSON.stringify(value) : value;
/** A JSON column comes as text or as what it says, by how it was made. */
const asValue = (value: unknown): unknown =>
	typeof value === 'string' && /^[[{]/.test(value) ? (JSON.parse(value) as unknown) : value;

/** Faults, causes, grades, states, closings and schools are ids from here on; the words stand in the code. */
export async function up(): Promise<void> {
	for (const [table, changes] of Object.entries(WORDS_TO_IDS)) {
		const keys = KEYS[table as BackupTable] ?? ['id'];
		const columns = Object.keys(changes);
		let after: unknown[] | undefined;
		for (;;) {
			// by its keys and not by an offset: what is changed may move
			const rows = await db().query<Record<string, unknown>>(
				`SELECT ${quoted([...new Set([...keys, ...columns])])} FROM ${table}
				WHERE ${ONLY[table as BackupTable] ?? '1'}
				${after ? `AND (${quoted(keys)}) > (${keys.map(() => '?').join(', ')})` : ''}
				ORDER BY ${quoted(keys)} LIMIT ${BITE}`,
				{ type: QueryTypes.SELECT, replacements: after ?? [] }
			);
			for (const row of rows) {
				const moved = columns.flatMap((c) => {
					const was = asValue(row[c]);
					const is = changes[c]!(was);
					return JSON.stringify(is) === JSON.stringify(was) ? [] : [{ column: c, to: asText(is) }];
				});
				if (moved.length === 0) continue;
				await db().query(
					`UPDATE ${table} SET ${moved.map((m) => `\`${m.column}\` = ?`).join(', ')}
					WHERE ${keys.map((k) => `\`${k}\` = ?`).join(' AND ')}`,
					{ replacements: [...moved.map((m) => m.to), ...keys.map((k) => row[k])] }
				);
			}
			if (rows.length < BITE) break;
			after = keys.map((k) => rows.at(-1)![k]);
		}
	}
}
