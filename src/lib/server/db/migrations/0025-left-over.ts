import { db } from '../connection';

/** Pulls of which it was noted what was left are found among a hundred thousand. */
export async function up(): Promise<void> {
	await db().query(
		`ALTER TABLE pulls ADD COLUMN IF NOT EXISTS tookNoted TINYINT
			AS (JSON_EXISTS(body, '$.took')) PERSISTENT,
			ADD INDEX IF NOT EXISTS pulls_took (tookNoted, combinedAt)`
	);
}
