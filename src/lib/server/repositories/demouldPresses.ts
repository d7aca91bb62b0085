import { QueryTypes } from 'sequelize';
import type { PulledPresses } from '$lib/core/plan';
import { db } from '../db/connection';
import { tables } from '../db/models';
import type { Actor } from '../people/audit';
import { noted } from './keeping';
import { getMaterial } from './materials';

/** The newest so many pulls are learnt from. */
const NEWEST = 400;

/** Presses at demould that are not forgotten, of one resin or of all; oldest first. */
export async function demouldPresses(resinId?: string): Promise<PulledPresses[]> {
	const rows = await db().query<Omit<PulledPresses, 'seen'> & { seen: string }>(
		`SELECT p.pourId, s.resinId, p.mouldId, JSON_EXTRACT(p.body, '$.demouldSeen') AS seen
		FROM pulls p JOIN pours o ON o.id = p.pourId
			JOIN shots s ON s.id = o.shotId JOIN materials m ON m.id = s.resinId
		WHERE p.demouldSeen = 1 AND p.combinedAt > COALESCE(m.demouldForgottenAt, '1000-01-01')
			${resinId === undefined ? '' : 'AND s.resinId = :resinId'}
		ORDER BY p.combinedAt DESC LIMIT ${NEWEST}`,
		{ type: QueryTypes.SELECT, replacements: { resinId: resinId ?? '' } }
	);
	return rows
		.map(({ seen, ...row }) => ({
			...row,
			seen: (typeof seen === 'string' ? JSON.parse(seen) : seen) as PulledPresses['seen']
		}))
		.reverse();
}

/** What presses taught of a resin so far counts no more; the pulls keep what was pressed. */
export async function forgetDemould(resinId: string, actor?: Actor): Promise<void> {
	const { record } = await getMaterial('resin', resinId);
	await noted({ actor }, ['demould-forgotten', record.name], (transaction) =>
		tables
			.materials()
			.update({ demouldForgottenAt: new Date() }, { where: { id: resinId, kind: 'resin' }, transaction })
	);
}
