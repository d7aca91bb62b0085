import { db } from '../connection';
import { markSimulated } from '../../repositories/simulated';

/**
 * Instruments of the workshop, each with a token of its own. And what the version before noted from its devices,
 * which were all simulated, is told from what was read.
 */
const STATEMENTS = [
	`CREATE TABLE IF NOT EXISTS instruments (
		id CHAR(36) PRIMARY KEY, kind VARCHAR(16) NOT NULL, name VARCHAR(60) NOT NULL, tokenHash CHAR(64) NOT NULL,
		value DOUBLE NULL, second DOUBLE NULL, settled TINYINT NULL, tareG DOUBLE NOT NULL DEFAULT 0,
		readAt DATETIME(3) NULL, revokedAt DATETIME(3) NULL, createdAt DATETIME(3) NOT NULL,
		UNIQUE KEY instruments_token (tokenHash))
		ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci`
];

export async function up(): Promise<void> {
	for (const statement of STATEMENTS) await db().query(statement);
	await markSimulated();
}
