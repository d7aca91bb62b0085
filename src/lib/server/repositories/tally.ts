import { QueryTypes } from 'sequelize';
import type { Grade } from '$lib/core/bench';
import type { PullBody } from '$lib/core/openData';
import { db } from '../db/connection';
import { getPour } from './pours';

/** A pull as a tally lists it. */
export interface TallyPull {
	atMs: number;
	mouldNumber: number;
	copies: number;
	grade: Grade;
	body: Pick<PullBody, 'massG' | 'faults' | 'took'>;
}

/** A tally holds at most so many pulls: more is another sheet. */
const MOST = 1000;

/** Pulls of these pours, the first in front. */
async function pullsOf(where: string, replacements: Record<string, unknown>): Promise<TallyPull[]> {
	const rows = await db().query<{
		combinedAt: string;
		mouldNumber: number;
		copies: number;
		grade: Grade;
		body: string | PullBody;
	}>(
		`SELECT p.combinedAt, m.number AS mouldNumber, p.copies, p.grade, p.body
		FROM pours o JOIN pulls p ON p.pourId = o.id JOIN moulds m ON m.id = p.mouldId
		WHERE ${where} ORDER BY p.combinedAt, m.number LIMIT ${MOST}`,
		{ type: QueryTypes.SELECT, replacements }
	);
	return rows.map(({ combinedAt, body, ...row }) => ({
		...row,
		copies: Number(row.copies),
		atMs: new Date(combinedAt).getTime(),
		body: typeof body === 'string' ? (JSON.parse(body) as PullBody) : body
	}));
}

/** A run of the same cast: what it is, how many are wanted, and every pull of it so far. */
export async function runOf(
	pourId: string
): Promise<{ pieceName: string; resinName: string; wanted?: number | undefined; pulls: TallyPull[] }> {
	const { plan } = await getPour(pourId);
	const first = plan.series?.first ?? pourId;
	const pulls = await pullsOf(
		"o.shotId = :shotId AND (o.id = :first OR JSON_VALUE(o.plan, '$.series.first') = :first)",
		{ shotId: plan.shotId, first }
	);
	return { pieceName: plan.masterName, resinName: plan.resinName, wanted: plan.series?.wanted, pulls };
}

/** Every pull that was cast for these lines of an order, by the line. */
export const pullsOfLine = (lineId: string): Promise<TallyPull[]> =>
	pullsOf('o.orderLineId = :lineId', { lineId });
