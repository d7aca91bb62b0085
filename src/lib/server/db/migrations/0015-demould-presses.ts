import { db } from '../connection';

/** Pulls with presses at demould are found among a hundred thousand; what they taught of a resin can be forgotten. */
const STATEMENTS = [
	`ALTER TABLE pulls ADD COLUMN IF NOT EXISTS demouldSeen TINYINT
		AS (JSON_EXISTS(body, '$.demouldSeen')) PERSISTENT,
		ADD INDEX IF NOT EXISTS pulls_demould_seen (demouldSeen, combinedAt)`,
	`ALTER TABLE materials ADD COLUMN IF NOT EXISTS demouldForgottenAt DATETIME(3) NULL`
];

export async function up(): Promise<void> {
	for (const statement of STATEMENTS) await db().query(statement);
}
