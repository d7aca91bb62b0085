import type { Transaction } from 'sequelize';
import { db } from '../connection';

const COMMON = 'ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci';

/** Pictures of a pull. */
const STATEMENTS = [
	`CREATE TABLE IF NOT EXISTS pull_photos (
		id CHAR(36) PRIMARY KEY, pullId CHAR(36) NOT NULL, photoId CHAR(36) NOT NULL,
		caption VARCHAR(120) NOT NULL DEFAULT '', createdAt DATETIME(3) NOT NULL, updatedAt DATETIME(3) NOT NULL,
		KEY pull_photos_pull (pullId, createdAt),
		CONSTRAINT pull_photos_photo FOREIGN KEY (photoId) REFERENCES photos (id)) ${COMMON}`
];

export async function up(transaction?: Transaction): Promise<void> {
	for (const statement of STATEMENTS) {
		await db().query(statement, transaction ? { transaction } : {});
	}
}
