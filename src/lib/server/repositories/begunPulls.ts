import { QueryTypes } from 'sequelize';
import type { BegunPull, OrderRecord } from '$lib/core/orders';
import { ownCopies, type PourPlan } from '$lib/core/plan';
import { db } from '../db/connection';

/** What is at the bench still wants so long at the least, ms. */
const LEAST_LEFT_MS = 10 * 60_000;

interface Row {
	lineId: string;
	status: 'open' | 'finished';
	plan: string | PourPlan;
	combinedAt: string | null;
	endedAt: string | null;
	/** Good copies in the ledger; of an open one nothing is known yet. */
	good: number | null;
}

/**
 * Pulls of these lines that were begun and are not ready: in their moulds, still hardening, or not finished. Of the good
 * ones those that were cast first count as finished first.
 */
export async function begunPulls(
	lines: readonly OrderRecord['lines'][number][],
	now: Date
): Promise<Map<string, BegunPull[]>> {
	const found = new Map<string, BegunPull[]>();
	if (lines.length === 0) return found;
	const rows = await db().query<Row>(
		`SELECT o.orderLineId AS lineId, o.status, o.plan, o.combinedAt, o.endedAt,
			(SELECT SUM(p.copies) FROM pulls p WHERE p.pourId = o.id AND p.grade <> 'scrap'
				AND p.masterName = JSON_VALUE(o.plan, '$.masterName')) AS good
		FROM pours o WHERE o.orderLineId IN (:ids) AND o.status IN ('open', 'finished') ORDER BY o.createdAt, o.id`,
		{ type: QueryTypes.SELECT, replacements: { ids: lines.map((l) => l.id) } }
	);
	for (const line of lines) {
		let finished = line.finished ?? 0;
		const own: BegunPull[] = [];
		for (const row of rows.filter((r) => r.lineId === line.id)) {
			const plan = typeof row.plan === 'string' ? (JSON.parse(row.plan) as PourPlan) : row.plan;
			const cast = ownCopies(plan);
			const good = row.status === 'open' ? cast : Number(row.good ?? 0);
			const done = Math.min(finished, good);
			finished -= done;
			const castAtMs = row.combinedAt ? new Date(row.combinedAt).getTime() : now.getTime() + LEAST_LEFT_MS;
			const workS = plan.steps.reduce((sum, s) => sum + s.durationS, 0);
			const outAtMs =
				row.status === 'finished'
					? new Date(row.endedAt ?? castAtMs).getTime()
					: Math.max(now.getTime() + LEAST_LEFT_MS, castAtMs + (workS + plan.demouldS) * 1000);
			const left = line.finishMinutes > 0 ? good - done : good;
			const readyMs = Math.max(outAtMs, castAtMs + line.hardenHours * 3_600_000);
			if (left === 0 || (line.finishMinutes === 0 && readyMs <= now.getTime())) continue;
			own.push({
				number: plan.order?.number ?? 1,
				copies: left,
				moulds: plan.moulds.map((m) => `M${m.number}`),
				castAtMs,
				outAtMs
			});
		}
		found.set(line.id, own);
	}
	return found;
}
