import { UniqueConstraintError } from 'sequelize';

/** That a row of this id is there already, and not that something else of it must be unlike. */
const isThere = (failure: unknown) =>
	failure instanceof UniqueConstraintError && 'PRIMARY' in (failure.fields as object);

/**
 * Makes a thing under the id that its page gave it. A form that is sent again, since its answer was lost or it was pressed
 * twice, arrives with the same id: the second arrival is the first, and makes nothing.
 * @param make writes the row, and all that goes with it, or nothing
 * @returns the id
 * @example
 * await makeOnce(id, () => tables.vessels().create({ id, version: 1, ...values }))
 */
export async function makeOnce(id: string, make: () => Promise<unknown>): Promise<string> {
	try {
		await make();
	} catch (failure) {
		if (!isThere(failure)) throw failure;
	}
	return id;
}
