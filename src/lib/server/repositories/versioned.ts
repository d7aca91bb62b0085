import type { Model, ModelStatic, Transaction, WhereOptions } from 'sequelize';
import { ConflictError, NotFoundError } from '../errors';

/**
 * Changes a row only if nobody else has since the version that the change started from.
 * @throws NotFoundError, ConflictError
 */
export async function updateVersioned<Row extends { id: string | number; version: number }>(
	table: ModelStatic<Model<Row, Partial<Row>>>,
	what: string,
	id: Row['id'],
	version: number,
	change: Partial<Row>,
	transaction?: Transaction
): Promise<void> {
	// a version that is no number is nobody's: it never reaches the database as one
	const from = Number.isSafeInteger(version) ? version : -1;
	const [changed] = await table.update(
		{ ...change, version: from + 1 },
		{ where: { id, version: from } as WhereOptions<Row>, ...(transaction ? { transaction } : {}) }
	);
	if (changed > 0) return;
	const there = await table.findOne({
		where: { id } as WhereOptions<Row>,
		...(transaction ? { transaction } : {})
	});
	throw there ? new ConflictError(what) : new NotFoundError(what);
}
