import type { Transaction } from 'sequelize';
import { db } from '../connection';

const COMMON = 'ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci';

/** Trials afloat of a piece. */
const STATEMENTS = [
	`CREATE TABLE IF NOT EXISTS trials (
		id CHAR(36) PRIMARY KEY, masterId CHAR(36) NOT NULL, shotId CHAR(36) NULL, at DATETIME(3) NOT NULL,
		body JSON NOT NULL, createdAt DATETIME(3) NOT NULL, updatedAt DATETIME(3) NOT NULL,
		KEY trials_master (masterId, at),
		CONSTRAINT trials_master FOREIGN KEY (masterId) REFERENCES masters (id)) ${COMMON}`
];

export async function up(transaction?: Transaction): Promise<void> {
	for (const statement of STATEMENTS) {
		await db().query(statement, transaction ? { transaction } : {});
	}
}
