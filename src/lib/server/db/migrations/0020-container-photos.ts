import { db } from '../connection';

const COMMON = 'ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci';

/** Pictures of a tin: its label, its seal, what a doubtful one looks like. */
const STATEMENTS = [
	`CREATE TABLE IF NOT EXISTS container_photos (
		id CHAR(36) PRIMARY KEY, containerId CHAR(36) NOT NULL, photoId CHAR(36) NOT NULL,
		caption VARCHAR(120) NOT NULL DEFAULT '', createdAt DATETIME(3) NOT NULL, updatedAt DATETIME(3) NOT NULL,
		KEY container_photos_container (containerId, createdAt),
		CONSTRAINT container_photos_container FOREIGN KEY (containerId) REFERENCES containers (id),
		CONSTRAINT container_photos_photo FOREIGN KEY (photoId) REFERENCES photos (id)) ${COMMON}`
];

export async function up(): Promise<void> {
	for (const statement of STATEMENTS) await db().query(statement);
}
