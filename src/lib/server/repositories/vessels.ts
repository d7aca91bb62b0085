import { randomUUID } from 'node:crypto';
import { QueryTypes, type Transaction } from 'sequelize';
import {
	INSPECTION_DEFAULTS,
	leak,
	inspectionsDue,
	refusedFor,
	vesselRecord,
	type Inspection,
	type InspectionDue,
	type InspectedPart,
	type VesselRecord
} from '$lib/core/pressurePot';
import type { PourPlan } from '$lib/core/plan';
import { stepId, type PourState } from '$lib/core/bench';
import type { WorkshopSettings } from '$lib/core/workshop';
import type { Cycle } from '$lib/core/ledger';
import { db } from '../db/connection';
import { makeOnce } from '../db/makeOnce';
import { plain, tables, type CycleBody } from '../db/models';
import { NotFoundError } from '../errors';
import type { Actor } from '../people/audit';
import { noted, type Keeping } from './keeping';
import { updateVersioned } from './versioned';

export interface Vessel {
	id: string;
	version: number;
	record: VesselRecord;
	createdAt: Date;
	cycles: number;
	dues: InspectionDue[];
	/** Why it may not be used; nothing when it may. */
	refused: string | null;
}
async function cyclesOf(ids: readonly string[]): Promise<Map<string, number>> {
	if (ids.length === 0) return new Map();
	const rows = await db().query<{ vesselId: string; n: number }>(
		'SELECT vesselId, COUNT(*) AS n FROM pot_cycles WHERE vesselId IN (:ids) GROUP BY vesselId',
		{ type: QueryTypes.SELECT, replacements: { ids } }
	);
	return new Map(rows.map((r) => [r.vesselId, Number(r.n)]));
}

async function inspectionsOf(ids: readonly string[]): Promise<Map<string, Inspection[]>> {
	const rows = await tables
		.vesselInspections()
		.findAll({ where: { vesselId: [...ids] }, order: [['at', 'DESC']] });
	const found = new Map<string, Inspection[]>();
	for (const row of rows.map(plain)) {
		const inspection = {
			part: row.part,
			atMs: row.at.getTime(),
			cycles: row.cycles,
			ok: Boolean(row.ok),
			...row.body
		};
		found.set(row.vesselId, [...(found.get(row.vesselId) ?? []), inspection]);
	}
	return found;
}

/** Every vessel with what is due on it. */
export async function listVessels(now = new Date()): Promise<Vessel[]> {
	const rows = (
		await tables.vessels().findAll({
			order: [
				['kind', 'DESC'],
				['createdAt', 'ASC'],
				['name', 'ASC']
			]
		})
	).map(plain);
	const ids = rows.map((r) => r.id);
	const [cycles, inspections] = await Promise.all([cyclesOf(ids), inspectionsOf(ids)]);
	return rows.map(({ id, version, body, createdAt }) => {
		const record = vesselRecord.parse(body);
		const n = cycles.get(id) ?? 0;
		const dues = inspectionsDue(record, inspections.get(id) ?? [], n, createdAt.getTime(), now.getTime());
		return { id, version, record, createdAt, cycles: n, dues, refused: refusedFor(record, dues) ?? null };
	});
}

/** @throws NotFoundError */
export async function getVessel(
	id: string,
	now = new Date()
): Promise<Vessel & { inspections: Inspection[] }> {
	const found = (await listVessels(now)).find((v) => v.id === id);
	if (!found) throw new NotFoundError('vessel');
	return { ...found, inspections: (await inspectionsOf([id])).get(id) ?? [] };
}

/** Adds a vessel or changes one. Returns its id. */
export async function saveVessel(
	record: VesselRecord,
	{ id = randomUUID(), version, ...by }: Keeping = {}
): Promise<string> {
	const values = { kind: record.kind, name: record.name, body: record };
	return makeOnce(id, () =>
		noted(by, ['vessel-kept', record.name], async (transaction) => {
			if (version !== undefined)
				return updateVersioned(tables.vessels(), 'vessel', id, version, values, transaction);
			await tables.vessels().create({ id, version: 1, ...values }, { transaction });
		})
	);
}

/** The pot that shots go into unless they name another: the first that may be used. */
export async function usualPot(potId = ''): Promise<Vessel | undefined> {
	const pots = (await listVessels()).filter((v) => v.record.kind === 'pot');
	return pots.find((v) => v.id === potId) ?? pots.find((v) => !v.refused) ?? pots[0];
}

/** The workshop's settings with the figures of a pot; as they are when there is none. */
export function withPot(settings: WorkshopSettings, pot: Vessel | undefined): WorkshopSettings {
	if (!pot) return settings;
	const r = pot.record;
	return {
		...settings,
		potName: r.name,
		potVolumeL: r.volumeL,
		potRatedGaugeKpa: r.ratedGaugeKpa ?? settings.potRatedGaugeKpa,
		potTargetGaugeKpa: r.targetGaugeKpa ?? settings.potTargetGaugeKpa,
		freeAirLPerMin: r.freeAirLPerMin ?? settings.freeAirLPerMin,
		secondGaugeKpa: r.secondGaugeKpa,
		secondLPerMin: r.secondLPerMin
	};
}

/** The pot of the settings as a record of its own, for a workshop that had none yet. */
export function potFromSettings(s: WorkshopSettings): VesselRecord {
	// as tall as wide: V = π·d³/4
	const diameterMm = Math.floor(100 * Math.cbrt((4 * s.potVolumeL) / Math.PI));
	return vesselRecord.parse({
		kind: 'pot',
		name: s.potName,
		volumeL: s.potVolumeL,
		diameterMm,
		shelvesMm: [diameterMm],
		ratedGaugeKpa: s.potRatedGaugeKpa,
		targetGaugeKpa: s.potTargetGaugeKpa,
		freeAirLPerMin: s.freeAirLPerMin,
		dues: INSPECTION_DEFAULTS
	});
}

export async function addInspection(
	vesselId: string,
	id: string,
	inspection: { part: InspectedPart; ok: boolean; by: string; note: string },
	at: Date,
	actor?: Actor
): Promise<void> {
	const { cycles, record } = await getVessel(vesselId);
	const { part, ok, by, note } = inspection;
	await makeOnce(id, () =>
		noted({ actor }, ['look-noted', `${record.name}, ${part}`], (transaction) =>
			tables
				.vesselInspections()
				.create({ id, vesselId, part, ok, at, cycles, body: { by, note } }, { transaction })
		)
	);
}

/** A cycle that was not a pour of ours, typed. The id is the form's, so that it counts once. */
export async function addCycle(
	vesselId: string,
	id: string,
	body: CycleBody,
	at: Date,
	actor?: Actor
): Promise<void> {
	const { record } = await getVessel(vesselId);
	await makeOnce(id, () =>
		noted({ actor }, ['cycle-noted', record.name], (transaction) =>
			tables.cycles().create({ id, vesselId, pourId: null, at, body }, { transaction })
		)
	);
}

export async function listCycles(vesselId: string, limit = 200): Promise<Cycle[]> {
	const rows = await tables.cycles().findAll({ where: { vesselId }, order: [['at', 'DESC']], limit });
	return rows.map((row) => {
		const { id, pourId, at, body } = plain(row);
		return { id, pourId, at, body };
	});
}

/** Writes the cycle that a pour amounts to; nothing before its pot was at pressure. */
export async function projectCycle(
	pourId: string,
	plan: PourPlan,
	state: PourState,
	transaction: Transaction
): Promise<void> {
	const vesselId = plan.pot?.vesselId;
	if (!plan.pot || !vesselId) return;
	if (!state.reached) {
		await tables.cycles().destroy({ where: { pourId }, transaction });
		return;
	}
	// a pot that is closed once is pumped once, whichever of its pours tells of it
	if (await cycleOfMate(pourId, plan, transaction)) return;
	const { reached, released, lowestGaugeKpa } = state;
	const holdS = released && (released.atMs - reached.atMs) / 1000;
	const loadDone = state.doneAtMs[loadStepId(plan)];
	const body: CycleBody = {
		load: [
			...plan.moulds.map((m) => `M${m.number}`),
			...(plan.potLoad?.others ?? []).flatMap((o) => o.moulds)
		].join(' '),
		targetGaugeKpa: plan.pot.targetGaugeKpa,
		...(reached.gaugeKpa === undefined ? {} : { reachedGaugeKpa: reached.gaugeKpa }),
		by: released?.who || state.marks.join(', '),
		...(loadDone === undefined ? {} : { timeToPressureS: Math.max(0, (reached.atMs - loadDone) / 1000) }),
		...(lowestGaugeKpa === undefined ? {} : { lowestGaugeKpa }),
		...(holdS && holdS > 1 ? { holdS } : {}),
		...(holdS && holdS > 1 && reached.gaugeKpa !== undefined && released?.gaugeKpa !== undefined
			? { leakKpaPerMin: leak(1, reached.gaugeKpa, released.gaugeKpa, holdS).kpaPerMin }
			: {})
	};
	const vessel = await tables.vessels().findByPk(vesselId, { transaction, attributes: ['id'] });
	if (!vessel) return;
	const at = new Date(reached.atMs);
	const [row, made] = await tables.cycles().findOrCreate({
		where: { pourId },
		defaults: { id: randomUUID(), vesselId, pourId, at, body },
		transaction
	});
	if (!made) await row.update({ at, body: { ...body, by: body.by || plain(row).body.by } }, { transaction });
}

/** Whether another pour of the same closing has written its cycle: a pot that is closed once is pumped once. */
async function cycleOfMate(pourId: string, plan: PourPlan, transaction: Transaction): Promise<boolean> {
	if (!plan.potLoad) return false;
	const [row] = await db().query<{ n: number }>(
		`SELECT COUNT(*) AS n FROM pot_cycles c JOIN pours o ON o.id = c.pourId
		WHERE o.id <> :pourId AND JSON_VALUE(o.plan, '$.potLoad.id') = :load`,
		{ type: QueryTypes.SELECT, replacements: { pourId, load: plan.potLoad.id }, transaction }
	);
	return Number(row?.n) > 0;
}

/** The step before pumping: the lid is clamped. */
function loadStepId(plan: PourPlan): string {
	return stepId({ name: 'timed', n: plan.steps.findIndex((s) => s.role === 'load') });
}

/** Looks that are due or soon due, for the bench and the calendar. */
export async function inspectionsComing(now = new Date()): Promise<{ vessel: Vessel; due: InspectionDue }[]> {
	const vessels = await listVessels(now);
	return vessels
		.filter((v) => !v.record.outOfUse)
		.flatMap((vessel) => vessel.dues.map((due) => ({ vessel, due })))
		.sort((a, b) => a.due.dueAtMs - b.due.dueAtMs);
}
