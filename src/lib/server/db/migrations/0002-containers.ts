import { db } from '../connection';

const COMMON = 'ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci';
const STAMPS = 'createdAt DATETIME(3) NOT NULL, updatedAt DATETIME(3) NOT NULL';

/** Tins on the shelf, and what pours took out of them. Each statement may be run again. */
const STATEMENTS = [
	`CREATE TABLE IF NOT EXISTS containers (
		id CHAR(36) PRIMARY KEY, materialId CHAR(36) NOT NULL, part VARCHAR(8) NOT NULL, body JSON NOT NULL,
		weighedAt DATETIME(3) NOT NULL, rateFactor DOUBLE NULL, emptied TINYINT NOT NULL DEFAULT 0,
		version INT NOT NULL DEFAULT 1, ${STAMPS},
		KEY containers_material (materialId, part, emptied),
		CONSTRAINT containers_material FOREIGN KEY (materialId) REFERENCES materials (id)) ${COMMON}`,
	`CREATE TABLE IF NOT EXISTS bookings (
		pourId CHAR(36) NOT NULL, containerId CHAR(36) NOT NULL, massG DOUBLE NOT NULL, at DATETIME(3) NOT NULL,
		PRIMARY KEY (pourId, containerId), KEY bookings_container (containerId, at),
		CONSTRAINT bookings_pour FOREIGN KEY (pourId) REFERENCES pours (id),
		CONSTRAINT bookings_container FOREIGN KEY (containerId) REFERENCES containers (id)) ${COMMON}`
];

export async function up(): Promise<void> {
	for (const statement of STATEMENTS) await db().query(statement);
}
