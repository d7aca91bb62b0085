import { QueryTypes } from 'sequelize';
import { db } from './connection';

/**
 * Does work that one process alone may do at a time; the others wait, and then find it done.
 * @param waitS so long another may take, s
 * @throws Error when it takes longer
 */
export async function alone(name: string, waitS: number, work: () => Promise<void>): Promise<void> {
	// the lock belongs to one connection: the transaction keeps hold of it
	await db().transaction(async (transaction) => {
		const [row] = await db().query<{ held: number | null }>('SELECT GET_LOCK(?, ?) AS held', {
			type: QueryTypes.SELECT,
			replacements: [name, waitS],
			transaction
		});
		if (row?.held !== 1) throw new Error(`${name}: another process has held this for too long`);
		try {
			await work();
		} finally {
			await db().query('SELECT RELEASE_LOCK(?)', {
				type: QueryTypes.SELECT,
				replacements: [name],
				transaction
			});
		}
	});
}
