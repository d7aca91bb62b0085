import { db } from '../connection';

/**
 * Both follow from the ledger and are written with it. The revision is another number after every change to the pulls
 * of a mould: what was worked out from them is kept by it. Which pull of its mould a pull was is counted once, not for
 * every list.
 */
const STATEMENTS = [
	`ALTER TABLE mould_pulls ADD COLUMN IF NOT EXISTS revision BIGINT UNSIGNED NOT NULL DEFAULT (UUID_SHORT())`,
	`ALTER TABLE pulls ADD COLUMN IF NOT EXISTS pullNumber INT NOT NULL DEFAULT 0`,
	`UPDATE pulls p JOIN (
		SELECT id, ROW_NUMBER() OVER (PARTITION BY mouldId ORDER BY combinedAt, id) AS n FROM pulls
	) x ON x.id = p.id SET p.pullNumber = x.n WHERE p.pullNumber <> x.n`
];

export async function up(): Promise<void> {
	for (const statement of STATEMENTS) await db().query(statement);
}
