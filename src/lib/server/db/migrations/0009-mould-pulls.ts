import type { Transaction } from 'sequelize';
import { db } from '../connection';

const COMMON = 'ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci';

/** How often each mould was pulled, and its last pull: follows from the ledger, written with every change of it. */
const STATEMENTS = [
	`CREATE TABLE IF NOT EXISTS mould_pulls (
		mouldId CHAR(36) PRIMARY KEY, pulls INT NOT NULL, lastPullAt DATETIME(3) NOT NULL,
		lastPullId CHAR(36) NOT NULL) ${COMMON}`,
	`REPLACE INTO mould_pulls (mouldId, pulls, lastPullAt, lastPullId)
		SELECT mouldId, COUNT(*), MAX(combinedAt),
			SUBSTRING(MAX(CONCAT(DATE_FORMAT(combinedAt, '%Y%m%d%H%i%s%f'), id)), 21)
		FROM pulls GROUP BY mouldId`
];

export async function up(transaction?: Transaction): Promise<void> {
	for (const statement of STATEMENTS) {
		await db().query(statement, transaction ? { transaction } : {});
	}
}
