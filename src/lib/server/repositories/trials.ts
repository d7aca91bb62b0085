import type { TrialRecord } from '$lib/core/shot';
import { makeOnce } from '../db/makeOnce';
import { plain, tables } from '../db/models';
import type { Actor } from '../people/audit';
import { noted } from './keeping';
import { getMaster } from './masters';

export interface Trial {
	id: string;
	shotId: string | null;
	at: Date;
	record: TrialRecord;
}

/** Keeps a trial afloat with its piece. The id is made by the form, so that a second press adds nothing. */
export async function addTrial(
	id: string,
	masterId: string,
	shotId: string | null,
	record: TrialRecord,
	at: Date,
	actor?: Actor
): Promise<void> {
	const { name } = (await getMaster(masterId)).record;
	await makeOnce(id, () =>
		noted({ actor }, ['trial-kept', name], (transaction) =>
			tables.trials().create({ id, masterId, shotId, at, body: record }, { transaction })
		)
	);
}

/** Trials of a piece, the newest first. */
export async function listTrials(masterId: string): Promise<Trial[]> {
	const rows = await tables.trials().findAll({ where: { masterId }, order: [['at', 'DESC']], limit: 200 });
	return rows.map((row) => {
		const { id, shotId, at, body } = plain(row);
		return { id, shotId, at, record: body };
	});
}
