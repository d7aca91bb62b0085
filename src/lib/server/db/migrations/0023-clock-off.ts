import { db } from '../connection';

/** How far the clock of the device was off when it sent an event, ms; nothing for events of before. */
export async function up(): Promise<void> {
	for (const table of ['pour_events', 'making_events'])
		await db().query(`ALTER TABLE ${table} ADD COLUMN IF NOT EXISTS clockOffMs BIGINT NULL`);
}
