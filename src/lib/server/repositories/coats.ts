import { QueryTypes, type Transaction } from 'sequelize';
import { coatBorne, type CoatedPull } from '$lib/core/bench';
import type { PourPlan } from '$lib/core/plan';
import { db } from '../db/connection';

/** The plan with what the coat on its moulds has borne, where it is not put on before this pull. */
export async function withCoat(plan: PourPlan, transaction: Transaction): Promise<PourPlan> {
	const { release } = plan;
	const every = release?.everyPulls ?? 1;
	if (!release || every < 2 || plan.moulds.length === 0) return plan;
	const borne = await Promise.all(
		plan.moulds.map(async ({ id }) =>
			coatBorne(
				await db().query<CoatedPull>(
					`SELECT JSON_VALUE(o.plan, '$.release.name') AS \`release\`, CAST(JSON_VALUE(o.plan, '$.release.borne') AS SIGNED) AS borne
					FROM pulls p LEFT JOIN pours o ON o.id = p.pourId
					WHERE p.mouldId = :id ORDER BY p.combinedAt DESC, p.id LIMIT :every`,
					{ type: QueryTypes.SELECT, replacements: { id, every }, transaction }
				),
				release
			)
		)
	);
	// one brush, one wait: where one of them wants it all are coated
	if (borne.some((n) => n === undefined)) return plan;
	return { ...plan, release: { ...release, borne: Math.max(...borne.map((n) => n!)) } };
}
