import type { Transaction } from 'sequelize';
import type { PourPlan } from '$lib/core/plan';
import { plain, tables } from '../db/models';
import { RefusedError } from '../errors';

/**
 * Holds the rows of the moulds until the pour stands: two that want one mould at once do not both get it. Before
 * anything else is read, since what is read first is what the transaction sees from then on.
 */
export async function lockMoulds(plan: Pick<PourPlan, 'moulds'>, transaction: Transaction): Promise<void> {
	await tables.moulds().findAll({
		where: { id: plan.moulds.map((m) => m.id) },
		attributes: ['id'],
		order: ['id'],
		transaction,
		lock: transaction.LOCK.UPDATE
	});
}

/** @throws RefusedError when one of the moulds is in another open pour */
export async function refuseBusy(plan: Pick<PourPlan, 'moulds'>, transaction: Transaction): Promise<void> {
	const busy = await mouldsInUse(
		plan.moulds.map((m) => m.id),
		transaction
	);
	if (busy) throw new RefusedError(`${busy} is still in another open pour: finish that one first.`);
}

async function mouldsInUse(ids: readonly string[], transaction: Transaction): Promise<string | undefined> {
	const open = await tables.pours().findAll({ where: { status: 'open' }, transaction });
	const taken = open.flatMap((row) => plain(row).plan.moulds).find((m) => ids.includes(m.id));
	return taken && `M${taken.number}`;
}
