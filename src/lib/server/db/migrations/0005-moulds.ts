import type { Transaction } from 'sequelize';
import { db } from '../connection';

const COMMON = 'ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci';
const STAMPS = 'createdAt DATETIME(3) NOT NULL, updatedAt DATETIME(3) NOT NULL';

/** Moulds of every kind: some without rubber, made in steps, looked over, with pictures and a line of descent. */
const STATEMENTS = [
	'ALTER TABLE moulds MODIFY rubberId CHAR(36) NULL',
	'ALTER TABLE moulds ADD COLUMN IF NOT EXISTS predecessorId CHAR(36) NULL',
	'ALTER TABLE moulds ADD COLUMN IF NOT EXISTS making JSON NULL',
	'ALTER TABLE moulds ADD COLUMN IF NOT EXISTS inspection JSON NULL',
	`CREATE TABLE IF NOT EXISTS making_events (
		id CHAR(36) PRIMARY KEY, seq BIGINT NOT NULL AUTO_INCREMENT, mouldId CHAR(36) NOT NULL,
		kind VARCHAR(24) NOT NULL, at DATETIME(3) NOT NULL, body JSON NOT NULL, receivedAt DATETIME(3) NOT NULL,
		UNIQUE KEY making_events_seq (seq), KEY making_events_mould (mouldId, seq),
		CONSTRAINT making_events_mould FOREIGN KEY (mouldId) REFERENCES moulds (id)) ${COMMON}`,
	`CREATE TABLE IF NOT EXISTS mould_photos (
		id CHAR(36) PRIMARY KEY, mouldId CHAR(36) NOT NULL, photoId CHAR(36) NOT NULL,
		caption VARCHAR(120) NOT NULL DEFAULT '', ${STAMPS}, KEY mould_photos_mould (mouldId, createdAt),
		CONSTRAINT mould_photos_mould FOREIGN KEY (mouldId) REFERENCES moulds (id),
		CONSTRAINT mould_photos_photo FOREIGN KEY (photoId) REFERENCES photos (id)) ${COMMON}`
];

export async function up(transaction?: Transaction): Promise<void> {
	for (const statement of STATEMENTS) {
		await db().query(statement, transaction ? { transaction } : {});
	}
}
