import { QueryTypes } from 'sequelize';
import { db } from '../connection';

/** Rows that are read and written at once. */
const BITE = 500;

export const quoted = (names: readonly string[]) => names.map((n) => `\`${n}\``).join(', ');
const asText = (value: unknown) =>
	value !== null && typeof value === 'object' ? JSON.stringify(value) : value;
/** A JSON column comes as text or as what it says, by how it was made. */
const asValue = (value: unknown): unknown =>
	typeof value === 'string' && /^[[{]/.test(value) ? (JSON.parse(value) as unknown) : value;

/**
 * Passes columns of a table through a change each and writes the rows that it moved; run again it moves none.
 * @param keys that tell its rows apart
 * @param where of SQL, for a table of which only some rows can hold what is changed
 */
export async function rewriteRows(
	table: string,
	keys: readonly string[],
	changes: Readonly<Record<string, (value: unknown) => unknown>>,
	where = '1'
): Promise<void> {
	const columns = Object.keys(changes);
	let after: unknown[] | undefined;
	for (;;) {
		// by its keys and not by an offset: what is changed may move
		const rows = await db().query<Record<string, unknown>>(
			`SELECT ${quoted([...new Set([...keys, ...columns])])} FROM ${table}
			WHERE ${where}
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
		if (rows.length < BITE) return;
		after = keys.map((k) => rows.at(-1)![k]);
	}
}
