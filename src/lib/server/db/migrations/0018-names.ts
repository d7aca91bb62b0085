import { QueryTypes } from 'sequelize';
import { EARLIER_DEVICES } from '$lib/core/earlierIds';
import { withKeysOfToday, WORDS_TO_IDS } from '$lib/core/openData';
import { db } from '../connection';
import { rewriteRows } from './rewrite';

/** Every table that keeps records as JSON, and in which columns. */
const RECORDS: Readonly<Record<string, readonly string[]>> = {
	settings: ['body'],
	materials: ['body'],
	masters: ['body'],
	moulds: ['inputs', 'plan', 'making', 'inspection'],
	making_events: ['body'],
	containers: ['body'],
	shots: ['inputs', 'result'],
	vessels: ['body'],
	pours: ['plan'],
	pour_events: ['body'],
	device_commands: ['body'],
	pulls: ['body'],
	pull_corrections: ['body'],
	pot_cycles: ['body'],
	vessel_looks: ['body'],
	mould_looks: ['body', 'forecast'],
	trials: ['body']
};

const stands = async (table: string) =>
	(
		await db().query(
			'SELECT 1 FROM information_schema.tables WHERE TABLE_SCHEMA = DATABASE() AND TABLE_NAME = ?',
			{ type: QueryTypes.SELECT, replacements: [table] }
		)
	).length > 0;

/** Names that a stranger would look for: of keys in records, of devices, and of what pours took out of tins. */
export async function up(): Promise<void> {
	if (await stands('bookings')) await db().query('RENAME TABLE bookings TO stock_movements');
	for (const [table, columns] of Object.entries(RECORDS)) {
		if (!(await stands(table))) continue;
		const ids =
			table === 'device_commands' || table === 'pour_events' ? WORDS_TO_IDS[table]!['body']! : undefined;
		await rewriteRows(
			table,
			['id'],
			Object.fromEntries(columns.map((c) => [c, (v) => withKeysOfToday(ids ? ids(v) : v)]))
		);
	}
	await db().query('ALTER TABLE instruments MODIFY kind VARCHAR(24) NOT NULL');
	for (const [was, is] of Object.entries(EARLIER_DEVICES))
		await db().query('UPDATE instruments SET kind = ? WHERE kind = ?', { replacements: [is, was] });
}
