import { db } from '../connection';

/** On which device an event was noted, by the name that its session has; nothing where nobody signs in, and of before. */
export async function up(): Promise<void> {
	for (const table of ['pour_events', 'making_events'])
		await db().query(`ALTER TABLE ${table} ADD COLUMN IF NOT EXISTS device VARCHAR(120) NULL`);
}
