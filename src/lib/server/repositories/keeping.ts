import type { Transaction } from 'sequelize';
import type { Deed } from '$lib/core/people';
import { inTransaction } from '../db/connection';
import { note, type Actor } from '../people/audit';

/** Under what a thing is kept, by whom, and within what. */
export interface Keeping {
	/** Of the row that is changed, or of the new one; made here where it is not said. */
	id?: string | undefined;
	/** That the change started from; without it the thing is new. */
	version?: number | undefined;
	/** That it is a part of. */
	transaction?: Transaction | undefined;
	/** Whoever keeps it; nothing is noted where no one acts, as for demo data. */
	actor?: Actor | undefined;
}

/**
 * Writes something, and who did it, both or neither.
 * @param about what it was done to, in words that stay clear when it is gone
 * @throws whatever `write` throws
 */
export async function noted<T>(
	{ transaction, actor }: Pick<Keeping, 'transaction' | 'actor'>,
	[what, about]: readonly [Deed, string],
	write: (transaction: Transaction) => Promise<T>
): Promise<T> {
	const work = async (within: Transaction) => {
		const written = await write(within);
		await note(actor, what, about, within);
		return written;
	};
	return transaction ? work(transaction) : inTransaction(work);
}
