import { MOULD_MODULES } from '$lib/core/mould';
import { QueryTypes } from 'sequelize';
import { db } from '../db/connection';
import { pullLine, type PullLine } from '$lib/core/ledger';
import { lastPulls } from './ledger';
import { listMoulds, takesResin, type Mould } from './moulds';
import { openPours, type OpenPour } from './openPours';

/** A mould as the bench shows it. */
interface BenchMould {
	id: string;
	masterId: string;
	number: number;
	label: string;
	state: Mould['state'];
	/** What is done with so much material, while it waits to be made. */
	verb: string;
	pulls: number;
	rubberMassG: number;
	readyAtMs: number | null;
}

/** The bench as it stands now. */
export interface Bench {
	open: OpenPour[];
	/** Active moulds that are in no open pour, each with the resin that it was last poured with. */
	free: (BenchMould & { lastResin: string | null; lastGrade: string | null })[];
	freeCount: number;
	/** New moulds: curing, ready to be opened, or still to be poured. */
	coming: BenchMould[];
	lastPulls: (PullLine & { masterName: string })[];
	/** No mould and no pull is in the books yet. */
	isFresh: boolean;
}

const LAST = 5;

const onBench = (m: Mould): BenchMould => ({
	id: m.id,
	masterId: m.masterId,
	number: m.number,
	label: m.label,
	state: m.state,
	verb: MOULD_MODULES[m.inputs.kind].words.verb,
	pulls: m.pulls,
	rubberMassG: m.plan.rubber.massG,
	readyAtMs: m.readyAt?.getTime() ?? null
});

/** @param shown free moulds that are listed; the rest is counted */
export async function readBench(shown: number): Promise<Bench> {
	const [open, moulds, pulls, last] = await Promise.all([
		openPours(),
		listMoulds(),
		lastPulls(LAST),
		db().query<{ mouldId: string; resinName: string; grade: string }>(
			'SELECT mp.mouldId, p.resinName, p.grade FROM mould_pulls mp JOIN pulls p ON p.id = mp.lastPullId',
			{ type: QueryTypes.SELECT }
		)
	]);
	const taken = new Set(open.flatMap((pour) => pour.moulds.map((m) => m.id)));
	const before = new Map(last.map((row) => [row.mouldId, row]));
	const free = moulds.filter((m) => takesResin(m) && !taken.has(m.id));
	return {
		open,
		free: free.slice(0, shown).map((m) => ({
			...onBench(m),
			lastResin: before.get(m.id)?.resinName ?? null,
			lastGrade: before.get(m.id)?.grade ?? null
		})),
		freeCount: free.length,
		coming: moulds.filter((m) => m.state === 'new' || m.state === 'being-made').map(onBench),
		lastPulls: pulls.map((p) => ({ ...pullLine(p), masterName: p.masterName })),
		isFresh: moulds.length === 0 && pulls.length === 0
	};
}
