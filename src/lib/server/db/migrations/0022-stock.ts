import { QueryTypes } from 'sequelize';
import { db } from '../connection';

async function hasColumn(table: string, column: string): Promise<boolean> {
	const rows = await db().query(
		'SELECT 1 FROM information_schema.columns WHERE TABLE_SCHEMA = DATABASE() AND TABLE_NAME = ? AND COLUMN_NAME = ?',
		{ type: QueryTypes.SELECT, replacements: [table, column] }
	);
	return rows.length > 0;
}

/** What is left and the openings of every tin are asked for by each page of the bench: the key holds all that they sum. */
const TABLE = `CREATE TABLE IF NOT EXISTS stock_lines (
	id CHAR(36) PRIMARY KEY, seq BIGINT NOT NULL AUTO_INCREMENT, containerId CHAR(36) NOT NULL, kind VARCHAR(16) NOT NULL,
	massG DOUBLE NULL, openings INT NOT NULL DEFAULT 0, pourId CHAR(36) NULL, placeSeq BIGINT NULL,
	at DATETIME(3) NOT NULL, receivedAt DATETIME(3) NOT NULL, note VARCHAR(500) NOT NULL DEFAULT '',
	UNIQUE KEY stock_seq (seq), KEY stock_container (containerId, kind, seq, placeSeq, massG, openings), KEY stock_pour (pourId),
	CONSTRAINT stock_container FOREIGN KEY (containerId) REFERENCES containers (id),
	CONSTRAINT stock_pour FOREIGN KEY (pourId) REFERENCES pours (id))
	ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci`;

/** What was weighed and counted on each tin, and what pours took, in the order in which it counted before. */
const LINES = `INSERT INTO stock_lines (id, containerId, kind, massG, openings, pourId, at, receivedAt)
	SELECT UUID(), x.containerId, x.kind, x.massG, x.openings, x.pourId, x.at, x.at FROM (
		SELECT id AS containerId, 'opened' AS kind, NULL AS massG, JSON_VALUE(body, '$.openings') AS openings,
			NULL AS pourId, createdAt AS at, 0 AS place FROM containers WHERE JSON_VALUE(body, '$.openings') > 0
		UNION ALL
		SELECT id, 'weighed', JSON_VALUE(body, '$.weighedG'), 0, NULL, weighedAt, 1 FROM containers
		UNION ALL
		SELECT containerId, 'used', massG, 1, pourId, at, 2 FROM stock_movements
	) x ORDER BY x.at, x.place`;

/**
 * Stock is a ledger of lines: what was weighed, used, opened, thrown away, corrected. A run that was cut short goes on:
 * the lines are made anew until they stand in the place of what was there before.
 */
export async function up(): Promise<void> {
	if (!(await hasColumn('stock_movements', 'seq'))) {
		await db().query(TABLE);
		await db().query('DELETE FROM stock_lines');
		await db().query(LINES);
		await db().query('RENAME TABLE stock_movements TO stock_before, stock_lines TO stock_movements');
	}
	await db().query('DROP TABLE IF EXISTS stock_before');
	await db().query('ALTER TABLE containers DROP COLUMN IF EXISTS weighedAt');
}
