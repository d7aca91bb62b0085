import { db } from '../connection';

const OPTIONS = 'ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci';

/** People and what lets them in: sessions and codes as hashes alone, failed tries, and who changed what. */
const STATEMENTS = [
	`CREATE TABLE IF NOT EXISTS people (
		id CHAR(36) PRIMARY KEY, name VARCHAR(60) NOT NULL, mark VARCHAR(8) NOT NULL, rights VARCHAR(10) NOT NULL,
		passphraseHash VARCHAR(200) NULL, leftAt DATETIME(3) NULL, version INT NOT NULL DEFAULT 1,
		createdAt DATETIME(3) NOT NULL, updatedAt DATETIME(3) NOT NULL,
		UNIQUE KEY people_name (name), UNIQUE KEY people_mark (mark)) ${OPTIONS}`,
	`CREATE TABLE IF NOT EXISTS sessions (
		id CHAR(36) PRIMARY KEY, tokenHash CHAR(64) NOT NULL, personId CHAR(36) NOT NULL, device VARCHAR(120) NOT NULL,
		address VARCHAR(60) NOT NULL, createdAt DATETIME(3) NOT NULL, lastUsedAt DATETIME(3) NOT NULL,
		expiresAt DATETIME(3) NOT NULL, endedAt DATETIME(3) NULL, paired TINYINT NOT NULL DEFAULT 0,
		UNIQUE KEY session_token (tokenHash), KEY session_person (personId, endedAt)) ${OPTIONS}`,
	`CREATE TABLE IF NOT EXISTS access_codes (
		hash CHAR(64) PRIMARY KEY, kind VARCHAR(12) NOT NULL, personId CHAR(36) NULL,
		createdAt DATETIME(3) NOT NULL, expiresAt DATETIME(3) NOT NULL, usedAt DATETIME(3) NULL) ${OPTIONS}`,
	`CREATE TABLE IF NOT EXISTS failed_tries (
		who CHAR(64) PRIMARY KEY, failures INT NOT NULL, lastAt DATETIME(3) NOT NULL) ${OPTIONS}`,
	`CREATE TABLE IF NOT EXISTS audit (
		id BIGINT AUTO_INCREMENT PRIMARY KEY, at DATETIME(3) NOT NULL, personId CHAR(36) NULL, who VARCHAR(60) NOT NULL,
		what VARCHAR(40) NOT NULL, about VARCHAR(300) NOT NULL, KEY audit_at (at)) ${OPTIONS}`
];

export async function up(): Promise<void> {
	for (const statement of STATEMENTS) await db().query(statement);
}
