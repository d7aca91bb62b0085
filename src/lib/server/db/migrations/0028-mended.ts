import { db } from '../connection';

/** How long mending took is summed over a hundred thousand pulls without reading each. */
export async function up(): Promise<void> {
	await db().query(
		`ALTER TABLE pulls ADD COLUMN IF NOT EXISTS mendedS DOUBLE
			AS (CAST(JSON_VALUE(body, '$.inspected.reworkS') AS DOUBLE)) PERSISTENT`
	);
}
