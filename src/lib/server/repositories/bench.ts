import { QueryTypes } from 'sequelize';
import { db } from '../db/connection';
import { listPulls, type Pull } from './ledger';
import { listMoulds, type Mould } from './moulds';
import { listPours, type Pour } from './pours';

/** The bench as it stands now. */
export interface Bench {
	open: Pour[];
	/** Active moulds that are in no open pour, each with the resin that it was last poured with. */
	free: (Mould & { lastResin: string | null; lastGrade: string | null })[];
	/** New moulds: curing, ready to be opened, or still to be poured. */
	coming: Mould[];
	lastPulls: Pull[];
}

const LAST = 5;

export async function readBench(): Promise<Bench> {
	const [open, moulds, { pulls }, last] = await Promise.all([
		listPours({ status: 'open' }),
		listMoulds(),
		listPulls({}, { offset: 0, limit: LAST }),
		db().query<{ mouldId: string; resinName: string; grade: string }>(
			`SELECT p.mouldId, p.resinName, p.grade FROM pulls p
			JOIN (SELECT mouldId, MAX(combinedAt) AS latest FROM pulls GROUP BY mouldId) l
				ON l.mouldId = p.mouldId AND l.latest = p.combinedAt`,
			{ type: QueryTypes.SELECT }
		)
	]);
	const taken = new Set(open.flatMap((pour) => pour.plan.moulds.map((m) => m.id)));
	return {
		open,
		free: moulds
			.filter((m) => m.state === 'active' && !taken.has(m.id))
			.map((m) => {
				const before = last.find((row) => row.mouldId === m.id);
				return { ...m, lastResin: before?.resinName ?? null, lastGrade: before?.grade ?? null };
			}),
		coming: moulds.filter((m) => m.state === 'new' || m.state === 'being made'),
		lastPulls: pulls
	};
}
