import { db } from '../connection';

const OPTIONS = 'ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci';
const STAMPS =
	'version INT NOT NULL DEFAULT 1, createdAt DATETIME(3) NOT NULL, updatedAt DATETIME(3) NOT NULL';

/** Orders, when people work, the plan that is followed and the one that is proposed; and for which line a pour is cast. */
export async function up(): Promise<void> {
	await db().query(
		`CREATE TABLE IF NOT EXISTS orders (
			id CHAR(36) PRIMARY KEY, number INT NOT NULL, name VARCHAR(120) NOT NULL, state VARCHAR(16) NOT NULL,
			dueAt DATETIME(3) NOT NULL, body JSON NOT NULL, ${STAMPS},
			UNIQUE KEY order_number (number), KEY order_due (state, dueAt)) ${OPTIONS}`
	);
	for (const table of ['work_hours', 'plans'])
		await db().query(
			`CREATE TABLE IF NOT EXISTS ${table} (id INT PRIMARY KEY, body JSON NOT NULL, ${STAMPS}) ${OPTIONS}`
		);
	await db().query('ALTER TABLE pours ADD COLUMN IF NOT EXISTS orderLineId CHAR(36) NULL');
	await db().query('ALTER TABLE pours ADD INDEX IF NOT EXISTS pour_order_line (orderLineId)');
}
