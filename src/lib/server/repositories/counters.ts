import { QueryTypes, type Transaction } from 'sequelize';
import { db } from '../db/connection';

/** The next number of a series (moulds, shots). The row stays locked until the transaction ends. */
export async function nextNumber(series: 'mould' | 'shot', transaction: Transaction): Promise<number> {
	await db().query('INSERT IGNORE INTO counters (name, value) VALUES (?, 0)', {
		replacements: [series],
		transaction
	});
	await db().query('UPDATE counters SET value = value + 1 WHERE name = ?', {
		replacements: [series],
		transaction
	});
	const [row] = await db().query<{ value: number }>('SELECT value FROM counters WHERE name = ?', {
		replacements: [series],
		type: QueryTypes.SELECT,
		transaction
	});
	return row!.value;
}
