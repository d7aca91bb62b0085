import { db } from '../connection';

/** A pour may stand at the bench before there is a shot, a mould or a master in the books. */
const STATEMENTS = [`ALTER TABLE pours MODIFY shotId CHAR(36) NULL`];

export async function up(): Promise<void> {
	for (const statement of STATEMENTS) await db().query(statement);
}
