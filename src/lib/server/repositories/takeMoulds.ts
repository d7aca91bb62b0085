import type { Transaction } from 'sequelize';
import type { PourPlan } from '$lib/core/plan';
import { hold } from '../db/lock';
import { plain, tables } from '../db/models';
import { RefusedError } from '../errors';
import { note, type Actor } from '../people/audit';

/** Holds the moulds until the pour stands: two that want one mould at once do not both get it. */
export const holdMoulds = (plan: Pick<PourPlan, 'moulds'>, transaction: Transaction): Promise<void> =>
	hold(
		plan.moulds.map((m) => `mould ${m.id}`),
		transaction
	);

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

/** Notes who began a pour, and of what. */
export const noteBegun = (
	actor: Actor | undefined,
	{ masterName, moulds }: PourPlan,
	transaction: Transaction
): Promise<void> =>
	note(actor, 'pour-begun', [masterName, ...moulds.map((m) => `M${m.number}`)].join(' '), transaction);
