import type { Transaction } from 'sequelize';
import { db } from '../connection';

const COMMON = 'ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci';
const STAMPS = 'createdAt DATETIME(3) NOT NULL, updatedAt DATETIME(3) NOT NULL';

/** Vessels with their cycles and looks, looks at moulds with what was foretold, and a ledger that is found quickly. */
const STATEMENTS = [
	`CREATE TABLE IF NOT EXISTS vessels (
		id CHAR(36) PRIMARY KEY, kind VARCHAR(16) NOT NULL, name VARCHAR(60) NOT NULL, body JSON NOT NULL,
		version INT NOT NULL DEFAULT 1, ${STAMPS}, KEY vessels_kind (kind, name)) ${COMMON}`,
	`CREATE TABLE IF NOT EXISTS pot_cycles (
		id CHAR(36) PRIMARY KEY, vesselId CHAR(36) NOT NULL, pourId CHAR(36) NULL, at DATETIME(3) NOT NULL,
		body JSON NOT NULL, ${STAMPS}, UNIQUE KEY pot_cycles_pour (pourId), KEY pot_cycles_vessel (vesselId, at),
		CONSTRAINT pot_cycles_vessel FOREIGN KEY (vesselId) REFERENCES vessels (id)) ${COMMON}`,
	`CREATE TABLE IF NOT EXISTS vessel_looks (
		id CHAR(36) PRIMARY KEY, vesselId CHAR(36) NOT NULL, part VARCHAR(20) NOT NULL, at DATETIME(3) NOT NULL,
		cycles INT NOT NULL, ok TINYINT(1) NOT NULL, body JSON NOT NULL, ${STAMPS},
		KEY vessel_looks_vessel (vesselId, at),
		CONSTRAINT vessel_looks_vessel FOREIGN KEY (vesselId) REFERENCES vessels (id)) ${COMMON}`,
	`CREATE TABLE IF NOT EXISTS mould_looks (
		id CHAR(36) PRIMARY KEY, mouldId CHAR(36) NOT NULL, at DATETIME(3) NOT NULL, pulls INT NOT NULL,
		body JSON NOT NULL, forecast JSON NULL, photoId CHAR(36) NULL, ${STAMPS},
		KEY mould_looks_mould (mouldId, at),
		CONSTRAINT mould_looks_mould FOREIGN KEY (mouldId) REFERENCES moulds (id)) ${COMMON}`,
	`CREATE TABLE IF NOT EXISTS pull_corrections (
		id CHAR(36) PRIMARY KEY, pullId CHAR(36) NOT NULL, at DATETIME(3) NOT NULL, body JSON NOT NULL, ${STAMPS},
		KEY pull_corrections_pull (pullId, at)) ${COMMON}`,
	`CREATE TABLE IF NOT EXISTS pull_causes (
		id CHAR(36) PRIMARY KEY, pullId CHAR(36) NOT NULL, fault VARCHAR(40) NOT NULL, cause VARCHAR(60) NOT NULL,
		${STAMPS}, UNIQUE KEY pull_causes_once (pullId, fault), KEY pull_causes_fault (fault, cause)) ${COMMON}`,
	`CREATE TABLE IF NOT EXISTS pull_faults (
		pullId CHAR(36) NOT NULL, fault VARCHAR(40) NOT NULL, PRIMARY KEY (pullId, fault),
		KEY pull_faults_fault (fault, pullId)) ${COMMON}`,
	`CREATE TABLE IF NOT EXISTS saved_views (
		id CHAR(36) PRIMARY KEY, name VARCHAR(60) NOT NULL, query VARCHAR(500) NOT NULL, ${STAMPS},
		UNIQUE KEY saved_views_name (name)) ${COMMON}`,
	// a pull out of an old notebook has no pour
	'ALTER TABLE pulls MODIFY pourId CHAR(36) NULL',
	`ALTER TABLE pulls
		ADD COLUMN IF NOT EXISTS massG DOUBLE AS (CAST(JSON_VALUE(body, '$.massG') AS DOUBLE)) PERSISTENT,
		ADD COLUMN IF NOT EXISTS humidity DOUBLE AS (CAST(JSON_VALUE(body, '$.relativeHumidity') AS DOUBLE)) PERSISTENT,
		ADD COLUMN IF NOT EXISTS searchText VARCHAR(600) NOT NULL DEFAULT '',
		ADD KEY IF NOT EXISTS pulls_mass (massG, combinedAt),
		ADD KEY IF NOT EXISTS pulls_humidity (humidity, combinedAt),
		ADD KEY IF NOT EXISTS pulls_resin (resinName, combinedAt),
		ADD KEY IF NOT EXISTS pulls_piece (masterName, combinedAt),
		ADD FULLTEXT KEY IF NOT EXISTS pulls_search (searchText)`,
	`UPDATE pulls p JOIN moulds m ON m.id = p.mouldId SET p.searchText =
		LEFT(CONCAT_WS(' ', p.masterName, p.resinName, m.label, CONCAT('M', m.number), JSON_VALUE(p.body, '$.note')), 600)
		WHERE p.searchText = ''`
];

export async function up(transaction?: Transaction): Promise<void> {
	for (const statement of STATEMENTS) {
		await db().query(statement, transaction ? { transaction } : {});
	}
}
