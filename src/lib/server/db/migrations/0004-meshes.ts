import { db } from '../connection';

const COMMON = 'ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci';

/**
 * 3D files, each once by its content, in pieces of a megabyte: any number of application processes can
 * stream them in and out without a shared disk. Each statement may be run again.
 */
const STATEMENTS = [
	`CREATE TABLE IF NOT EXISTS mesh_chunks (
		uploadId CHAR(36) NOT NULL, n INT NOT NULL, bytes MEDIUMBLOB NOT NULL, createdAt DATETIME(3) NOT NULL,
		PRIMARY KEY (uploadId, n), KEY mesh_chunks_created (createdAt)) ${COMMON}`,
	`CREATE TABLE IF NOT EXISTS meshes (
		sha256 CHAR(64) PRIMARY KEY, uploadId CHAR(36) NOT NULL, fileName VARCHAR(200) NOT NULL,
		sizeBytes BIGINT NOT NULL, chunks INT NOT NULL, createdAt DATETIME(3) NOT NULL,
		UNIQUE KEY meshes_upload (uploadId)) ${COMMON}`
];

export async function up(): Promise<void> {
	for (const statement of STATEMENTS) await db().query(statement);
}
