import { QueryTypes, type Transaction } from 'sequelize';
import { withSteps } from '$lib/core/bench';
import type { PourPlan } from '$lib/core/plan';
import { db } from '../db/connection';

/**
 * Open pours of a version that made its steps anew at every look get them for good, as they stand today: what comes
 * later does not move them. Running it again changes nothing.
 */
export async function keepSteps(transaction?: Transaction): Promise<void> {
	const open = await db().query<{ id: string; plan: PourPlan | string }>(
		"SELECT id, plan FROM pours WHERE status = 'open' AND JSON_EXTRACT(plan, '$.bench') IS NULL",
		{ type: QueryTypes.SELECT, ...(transaction ? { transaction } : {}) }
	);
	for (const { id, plan } of open) {
		const kept = withSteps(typeof plan === 'string' ? (JSON.parse(plan) as PourPlan) : plan);
		await db().query('UPDATE pours SET plan = ? WHERE id = ?', {
			replacements: [JSON.stringify(kept), id],
			...(transaction ? { transaction } : {})
		});
	}
}
