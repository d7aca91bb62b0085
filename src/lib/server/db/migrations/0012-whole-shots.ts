import { QueryTypes } from 'sequelize';
import { type PourPlan } from '$lib/core/plan';
import { shotMassG } from '$lib/core/bench';
import { db } from '../connection';

/** Pulls of casts in layers were written with the mass of their first cup: they get that of the whole shot. */
export async function up(): Promise<void> {
	const pours = await db().query<{ id: string; plan: PourPlan | string }>(
		"SELECT id, plan FROM pours WHERE JSON_LENGTH(plan, '$.layers') > 0",
		{ type: QueryTypes.SELECT }
	);
	for (const { id, plan } of pours) {
		const known = typeof plan === 'string' ? (JSON.parse(plan) as PourPlan) : plan;
		await db().query(
			`UPDATE pulls SET body = JSON_SET(body, '$.massG', ?) WHERE pourId = ? AND id NOT IN (
				SELECT pullId FROM pull_corrections WHERE JSON_VALUE(body, '$.field') = 'massG')`,
			{ replacements: [shotMassG(known), id] }
		);
	}
}
