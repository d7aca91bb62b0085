import { db } from '../connection';

const COMMON = 'ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci';

/** What makers found when two things met. The statement may be run again. */
const STATEMENT = `CREATE TABLE IF NOT EXISTS experiences (
	id CHAR(36) PRIMARY KEY, firstKey VARCHAR(100) NOT NULL, secondKey VARCHAR(100) NOT NULL, body JSON NOT NULL,
	createdAt DATETIME(3) NOT NULL, updatedAt DATETIME(3) NOT NULL,
	KEY experiences_pair (firstKey, secondKey)) ${COMMON}`;

export async function up(): Promise<void> {
	await db().query(STATEMENT);
}
