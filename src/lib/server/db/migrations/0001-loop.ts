import type { Transaction } from 'sequelize';
import { db } from '../connection';

const COMMON = 'ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci';
const STAMPS = 'createdAt DATETIME(3) NOT NULL, updatedAt DATETIME(3) NOT NULL';
const VERSIONED = `version INT NOT NULL DEFAULT 1, ${STAMPS}`;

/** The first loop: master → mould → shot → pour → pull. Each statement may be run again. */
const STATEMENTS = [
	`CREATE TABLE IF NOT EXISTS settings (id INT PRIMARY KEY, body JSON NOT NULL, ${VERSIONED}) ${COMMON}`,
	`CREATE TABLE IF NOT EXISTS markers (name VARCHAR(60) PRIMARY KEY, ${STAMPS}) ${COMMON}`,
	`CREATE TABLE IF NOT EXISTS counters (name VARCHAR(40) PRIMARY KEY, value INT NOT NULL) ${COMMON}`,
	`CREATE TABLE IF NOT EXISTS materials (
		id CHAR(36) PRIMARY KEY, kind VARCHAR(16) NOT NULL, name VARCHAR(120) NOT NULL, body JSON NOT NULL,
		${VERSIONED}, KEY materials_kind (kind, name)) ${COMMON}`,
	`CREATE TABLE IF NOT EXISTS photos (
		id CHAR(36) PRIMARY KEY, sha256 CHAR(64) NOT NULL, mime VARCHAR(40) NOT NULL, sizeBytes INT NOT NULL,
		bytes LONGBLOB NOT NULL, ${STAMPS}, UNIQUE KEY photos_sha256 (sha256)) ${COMMON}`,
	`CREATE TABLE IF NOT EXISTS masters (
		id CHAR(36) PRIMARY KEY, name VARCHAR(120) NOT NULL, volumeMl DOUBLE NOT NULL, body JSON NOT NULL,
		photoId CHAR(36) NULL, ${VERSIONED}, KEY masters_name (name),
		CONSTRAINT masters_photo FOREIGN KEY (photoId) REFERENCES photos (id)) ${COMMON}`,
	`CREATE TABLE IF NOT EXISTS moulds (
		id CHAR(36) PRIMARY KEY, number INT NOT NULL, label VARCHAR(120) NOT NULL, masterId CHAR(36) NOT NULL,
		rubberId CHAR(36) NOT NULL, state VARCHAR(16) NOT NULL, place VARCHAR(120) NOT NULL DEFAULT '',
		inputs JSON NOT NULL, plan JSON NOT NULL, pouredAt DATETIME(3) NULL, readyAt DATETIME(3) NULL, ${VERSIONED},
		UNIQUE KEY moulds_number (number), KEY moulds_state (state, readyAt), KEY moulds_master (masterId),
		CONSTRAINT moulds_master FOREIGN KEY (masterId) REFERENCES masters (id),
		CONSTRAINT moulds_rubber FOREIGN KEY (rubberId) REFERENCES materials (id)) ${COMMON}`,
	`CREATE TABLE IF NOT EXISTS shots (
		id CHAR(36) PRIMARY KEY, number INT NOT NULL, masterId CHAR(36) NOT NULL, resinId CHAR(36) NOT NULL,
		inputs JSON NOT NULL, result JSON NOT NULL, ${VERSIONED},
		UNIQUE KEY shots_number (number), KEY shots_created (createdAt),
		CONSTRAINT shots_master FOREIGN KEY (masterId) REFERENCES masters (id),
		CONSTRAINT shots_resin FOREIGN KEY (resinId) REFERENCES materials (id)) ${COMMON}`,
	`CREATE TABLE IF NOT EXISTS pours (
		id CHAR(36) PRIMARY KEY, shotId CHAR(36) NOT NULL, batchIndex INT NOT NULL, status VARCHAR(16) NOT NULL,
		plan JSON NOT NULL, combinedAt DATETIME(3) NULL, endedAt DATETIME(3) NULL, ${STAMPS},
		KEY pours_status (status, createdAt), KEY pours_shot (shotId, batchIndex),
		CONSTRAINT pours_shot FOREIGN KEY (shotId) REFERENCES shots (id)) ${COMMON}`,
	`CREATE TABLE IF NOT EXISTS pour_events (
		id CHAR(36) PRIMARY KEY, seq BIGINT NOT NULL AUTO_INCREMENT, pourId CHAR(36) NOT NULL,
		kind VARCHAR(24) NOT NULL, at DATETIME(3) NOT NULL, body JSON NOT NULL, receivedAt DATETIME(3) NOT NULL,
		UNIQUE KEY pour_events_seq (seq), KEY pour_events_pour (pourId, seq),
		CONSTRAINT pour_events_pour FOREIGN KEY (pourId) REFERENCES pours (id)) ${COMMON}`,
	`CREATE TABLE IF NOT EXISTS pulls (
		id CHAR(36) PRIMARY KEY, pourId CHAR(36) NOT NULL, mouldId CHAR(36) NOT NULL,
		masterName VARCHAR(120) NOT NULL, resinName VARCHAR(120) NOT NULL, copies INT NOT NULL,
		grade VARCHAR(16) NOT NULL, combinedAt DATETIME(3) NOT NULL, body JSON NOT NULL, ${STAMPS},
		UNIQUE KEY pulls_once (pourId, mouldId), KEY pulls_mould (mouldId, combinedAt),
		KEY pulls_when (combinedAt), KEY pulls_grade (grade, combinedAt),
		CONSTRAINT pulls_pour FOREIGN KEY (pourId) REFERENCES pours (id),
		CONSTRAINT pulls_mould FOREIGN KEY (mouldId) REFERENCES moulds (id)) ${COMMON}`
];

export async function up(transaction?: Transaction): Promise<void> {
	for (const statement of STATEMENTS) {
		await db().query(statement, transaction ? { transaction } : {});
	}
}
