import { db } from '../connection';

/** A master may stand in the books before its volume is known; the water of a first look fills it in. */
const STATEMENTS = [`ALTER TABLE masters MODIFY volumeMl DOUBLE NULL`];

export async function up(): Promise<void> {
	for (const statement of STATEMENTS) await db().query(statement);
}
