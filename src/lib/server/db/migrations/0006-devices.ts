import type { Transaction } from 'sequelize';
import { db } from '../connection';

const COMMON = 'ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci';

/** What was done to devices at a bench, so that every process reads the same from simulated ones. */
const STATEMENTS = [
	`CREATE TABLE IF NOT EXISTS device_commands (
		id CHAR(36) PRIMARY KEY, pourId CHAR(36) NOT NULL, at DATETIME(3) NOT NULL, body JSON NOT NULL,
		KEY device_commands_pour (pourId, at),
		CONSTRAINT device_commands_pour FOREIGN KEY (pourId) REFERENCES pours (id)) ${COMMON}`
];

export async function up(transaction?: Transaction): Promise<void> {
	for (const statement of STATEMENTS) {
		await db().query(statement, transaction ? { transaction } : {});
	}
}
