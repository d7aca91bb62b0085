import { QueryTypes, type Transaction } from 'sequelize';
import { db } from '../db/connection';

/** The next number of a series (moulds, shots). The row stays locked until the transaction ends. */
export async function nextNumber(
	series: 'mould' | 'shot' | 'order',
	transaction: Transaction
): Promise<number> {
	// one statement takes the row's lock at once: reading first and writing then is how two deadlock
	await db().query(
		'INSERT INTO counters (name, value) VALUES (?, 1) ON DUPLICATE KEY UPDATE value = value + 1',
		{
			replacements: [series],
			transaction
		}
	);
	const [row] = await db().query<{ value: number }>('SELECT value FROM counters WHERE name = ?', {
		replacements: [series],
		type: QueryTypes.SELECT,
		transaction
	});
	return row!.value;
}
