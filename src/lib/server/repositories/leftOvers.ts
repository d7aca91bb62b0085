import { QueryTypes } from 'sequelize';
import type { TookPull } from '$lib/core/shot';
import { db } from '../db/connection';

/** The newest so many pulls are learnt from; of one mould's five, and of all moulds for the page that chooses among them. */
const NEWEST = 2000;

/** What pours left over, or were short of, the newest first. */
export async function leftOvers(
	mouldIds?: readonly string[]
): Promise<(TookPull & { pourId: string; mouldId: string })[]> {
	if (mouldIds?.length === 0) return [];
	const rows = await db().query<{ pourId: string; mouldId: string; took: string | TookPull }>(
		`SELECT pourId, mouldId, JSON_EXTRACT(body, '$.took') AS took FROM pulls
		WHERE tookNoted = 1 AND pourId IS NOT NULL ${mouldIds ? 'AND mouldId IN (:mouldIds)' : ''}
		ORDER BY combinedAt DESC, id LIMIT ${NEWEST}`,
		{ type: QueryTypes.SELECT, replacements: { mouldIds: [...(mouldIds ?? [])] } }
	);
	return rows.map(({ pourId, mouldId, took }) => ({
		pourId,
		mouldId,
		...((typeof took === 'string' ? JSON.parse(took) : took) as TookPull)
	}));
}
