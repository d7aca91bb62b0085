import { randomUUID } from 'node:crypto';
import type { Transaction } from 'sequelize';
import { outcomeOf } from '$lib/core/outcomeOf';
import { composePlan, movedStamps, planDifferences, type Difference, type Stamp } from '$lib/core/plan';
import type { PourPlan } from '$lib/core/plan';
import { keptLayer, planShot, usuallyLeftMl, type PlannedShot, type ShotInputs } from '$lib/core/shot';
import type { WorkshopSettings } from '$lib/core/workshop';
import { makeOnce } from '../db/makeOnce';
import { RowCache, stampOf } from '../db/rowCache';
import { plain, tables, type ShotRow } from '../db/models';
import { NotFoundError, RefusedError } from '../errors';
import { nextNumber } from './counters';
import { contextOf, gather, recordsOf, stampsOf, type Gathered } from './shotRecords';
import type { Actor } from '../people/audit';
import { noted, type Keeping } from './keeping';
import { updateVersioned } from './versioned';

/** A planned shot with the stamps of what it rests on; those of the version before have none. */
type KeptPlan = PlannedShot & { stamps?: Stamp[] };

export interface Shot {
	id: string;
	version: number;
	number: number;
	masterId: string;
	resinId: string;
	inputs: ShotInputs;
	planned: KeptPlan;
	createdAt: Date;
}

/** Shots of the version before keep the clocks of their layers from the pour of the first. */
function keptShot(planned: KeptPlan): KeptPlan {
	const batches = planned.shot.batches.map((b) => (b.layers ? { ...b, layers: b.layers.map(keptLayer) } : b));
	return { ...planned, shot: { ...planned.shot, batches } };
}

function toShot(row: ShotRow): Shot {
	const { id, version, number, masterId, resinId, inputs, result, createdAt } = row;
	return { id, version, number, masterId, resinId, inputs, planned: keptShot(result), createdAt };
}

export async function getShot(id: string): Promise<Shot> {
	const row = await tables.shots().findByPk(id);
	if (!row) throw new NotFoundError('shot');
	return toShot(plain(row));
}

/** Shots of the lists by their state: a planned shot is large, and it is not read anew for every page. */
const kept = new RowCache<Shot>(500);

export async function listShots(limit = 50): Promise<Shot[]> {
	const stamps = await tables
		.shots()
		.findAll({ attributes: ['id', 'version', 'updatedAt'], order: [['createdAt', 'DESC']], limit });
	const rows = stamps.map((row) => plain(row));
	const missing = rows.filter((row) => !kept.peek(row.id, stampOf(row))).map(({ id }) => id);
	const read = missing.length ? await tables.shots().findAll({ where: { id: missing } }) : [];
	const fresh = new Map(read.map(plain).map((row) => [row.id, kept.keep(row.id, stampOf(row), toShot(row))]));
	return rows.flatMap((row) => fresh.get(row.id) ?? kept.peek(row.id, stampOf(row)) ?? []);
}

/** Sizes a shot by the records of today, with the stamps of what it rests on. */
function planNow(of: Gathered, inputs: ShotInputs, settings: WorkshopSettings): KeptPlan {
	return { ...planShot(inputs, contextOf(of, settings)), stamps: stampsOf(of, inputs, settings) };
}

/**
 * Keeps a shot, or changes one that was not poured yet; it is worked out again here from the records, whatever the
 * browser showed.
 */
export async function saveShot(
	typed: ShotInputs,
	settings: WorkshopSettings,
	{ id = randomUUID(), version, ...by }: Keeping = {}
): Promise<string> {
	const gathered = await gather(typed);
	const { master, resin, vessel } = gathered;
	// which pot it was sized for stays with it, whatever becomes the usual one
	const inputs = { ...typed, potId: typed.usePot ? (vessel?.id ?? '') : '' };
	const result = planNow(gathered, inputs, settings);
	const save = async (transaction: Transaction) => {
		if (version !== undefined) {
			if (await tables.pours().count({ where: { shotId: id }, transaction }))
				throw new RefusedError('It is at the bench, or was poured: size it anew from this one instead.');
			const change = { masterId: master.id, resinId: resin.id, inputs, result };
			await updateVersioned(tables.shots(), 'shot', id, version, change, transaction);
			return;
		}
		const number = await nextNumber('shot', transaction);
		await tables
			.shots()
			.create(
				{ id, number, masterId: master.id, resinId: resin.id, inputs, result, version: 1 },
				{ transaction }
			);
	};
	return makeOnce(id, () => noted(by, ['shot-kept', master.record.name], save));
}

/** Why and in what a kept shot is otherwise by today's records. */
export interface ShotMoved {
	/** Records that changed since; nothing is known of them for shots of the version before. */
	records: string[];
	differences: Difference[];
	/** By today's records it cannot be planned at all. */
	refused?: string;
}

interface BatchPlans {
	/** As it was kept, on the records of that day. */
	kept: PourPlan;
	/** By the records of today; the kept one where nothing moved. */
	now: PourPlan;
	/** Nothing while the kept plan holds. */
	moved?: ShotMoved;
}

/**
 * The plan of one batch as it was kept and as today's records make it.
 * @throws RefusedError when the shot has no such batch, or its moulds cannot be poured
 */
export async function batchPlans(
	shotId: string,
	batchIndex: number,
	settings: WorkshopSettings
): Promise<BatchPlans> {
	const shot = await getShot(shotId);
	const of = await gather(shot.inputs);
	const batch = shot.planned.shot.batches[batchIndex];
	if (!batch) throw new RefusedError(`Shot ${shot.number} has no batch ${batchIndex + 1}.`);
	const records = await recordsOf(of, shot.inputs, settings, usuallyLeftMl(batch.volumeMl));
	const kept = composePlan(shot, batchIndex, { ...records, stamps: shot.planned.stamps ?? [] });
	const moved = movedStamps(shot.planned.stamps, records.stamps);
	if (moved?.length === 0) return { kept, now: kept };
	const names = moved?.map((s) => s.name) ?? [];
	const outcome = outcomeOf(() => {
		const planned = planNow(of, shot.inputs, settings);
		return composePlan({ ...shot, planned }, batchIndex, records);
	});
	if (!outcome.ok) {
		const refused = outcome.errors[0].message;
		return { kept, now: kept, moved: { records: names, differences: [], refused } };
	}
	const now = outcome.value;
	const differences = planDifferences(kept, now, settings.units);
	return differences.length > 0 ? { kept, now, moved: { records: names, differences } } : { kept, now };
}

/** Sizes a kept shot again by the records of today, so that its page, its card and its other batches agree. */
export async function replanShot(shotId: string, settings: WorkshopSettings, actor?: Actor): Promise<void> {
	const shot = await getShot(shotId);
	const gathered = await gather(shot.inputs);
	const result = planNow(gathered, shot.inputs, settings);
	await noted({ actor }, ['shot-kept', `${gathered.master.record.name}, by today’s records`], (transaction) =>
		updateVersioned(tables.shots(), 'shot', shot.id, shot.version, { result }, transaction)
	);
}
