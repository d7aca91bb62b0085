import { randomUUID } from 'node:crypto';
import { QueryTypes, type Transaction } from 'sequelize';
import type { Inspection } from '$lib/core/making';
import {
	faceTempC,
	inRubber,
	MADE_OF,
	MOULD_MODULES,
	mouldInputs,
	nextMouldStates,
	planMould,
	STATE_WORDS,
	type MakingPlan,
	type MouldMaterials,
	type MouldPlan,
	type MouldInputs,
	type MouldState
} from '$lib/core/mould';
import { db } from '../db/connection';
import { makeOnce } from '../db/makeOnce';
import { RowCache, stampOf } from '../db/rowCache';
import { tables, type MouldRow } from '../db/models';
import { NotFoundError, RefusedError } from '../errors';
import type { Actor } from '../people/audit';
import { nextNumber } from './counters';
import { getMaster } from './masters';
import { getMaterial, getResin, getRubber } from './materials';
import { noted, type Keeping } from './keeping';
import { updateVersioned } from './versioned';

/** In use, and of a kind that resin may be poured into. */
export const takesResin = ({ state, inputs }: Pick<Mould, 'state' | 'inputs'>): boolean =>
	state === 'active' && !MOULD_MODULES[inputs.kind].refusesResin;

/** Ids of the moulds that are in an open pour: full, or about to be. */
export async function mouldsInPours(): Promise<Set<string>> {
	const open = await db().query<{ plan: unknown }>("SELECT plan FROM pours WHERE status = 'open'", {
		type: QueryTypes.SELECT
	});
	return new Set(
		open.flatMap(({ plan }) => parsed<{ moulds: { id: string }[] }>(plan).moulds.map((m) => m.id))
	);
}

/** Moulds that may be poured and stand empty: what is full and curing takes no left-over. */
export async function emptyMoulds(): Promise<Mould[]> {
	const [moulds, full] = await Promise.all([listMoulds(), mouldsInPours()]);
	return moulds.filter((m) => takesResin(m) && !full.has(m.id));
}

export interface Mould {
	id: string;
	version: number;
	number: number;
	label: string;
	masterId: string;
	masterName: string;
	/** Rubber or thermoplastic; empty for a rigid mould. */
	rubberName: string;
	rubberId: string | null;
	predecessorId: string | null;
	making: MakingPlan | null;
	inspection: Inspection | null;
	state: MouldState;
	place: string;
	inputs: MouldInputs;
	plan: MouldPlan;
	pouredAt: Date | null;
	readyAt: Date | null;
	/** Pulls in the ledger; follows from it and is kept nowhere else. */
	pulls: number;
	lastPullAt: Date | null;
	/** Another one after every change to its pulls; empty while there are none. */
	pullsRevision: string;
}

type Joined = Omit<MouldRow, 'inputs' | 'plan'> & {
	masterName: string;
	rubberName: string | null;
	pulls: number;
	lastPullAt: Date | null;
	pullsRevision: string | number | null;
};

/** Everything but the two large columns, which are read once for each state of a mould. */
const SELECT = `
	SELECT m.id, m.version, m.updatedAt, m.number, m.label, m.masterId, m.rubberId, m.predecessorId, m.making,
		m.inspection, m.state, m.place, m.pouredAt, m.readyAt,
		a.name AS masterName, r.name AS rubberName,
		COALESCE(mp.pulls, 0) AS pulls, mp.lastPullAt, CAST(mp.revision AS CHAR) AS pullsRevision
	FROM moulds m JOIN masters a ON a.id = m.masterId LEFT JOIN materials r ON r.id = m.rubberId
	LEFT JOIN mould_pulls mp ON mp.mouldId = m.id`;

interface Planned {
	inputs: MouldInputs;
	plan: MouldPlan;
}
const plans = new RowCache<Planned>();

function asDate(value: unknown): Date | null {
	return value === null || value === undefined ? null : new Date(value as string | Date);
}

function parsed<T>(value: unknown): T {
	return (typeof value === 'string' ? JSON.parse(value) : value) as T;
}

/** Inputs kept before there were other kinds lack what is new: it gets its usual value. */
function withDefaults(inputs: MouldInputs): MouldInputs {
	const known = mouldInputs.safeParse(inputs);
	return known.success ? known.data : inputs;
}

/** Plans kept before there were other kinds are blocks of one pour, or of two halves. */
function planWithDefaults(plan: MouldPlan, { kind }: MouldInputs): MouldPlan {
	if (plan.kind) return plan;
	return { ...plan, kind, pours: plan.pours ?? [] };
}

/** Inputs and plan of these moulds, read for those only that changed since they were read last. */
async function plansOf(rows: readonly Joined[]): Promise<Map<string, Planned>> {
	const found = new Map<string, Planned>();
	const missing = rows.filter((row) => {
		const kept = plans.peek(row.id, stampOf(row));
		if (kept) found.set(row.id, kept);
		return !kept;
	});
	if (missing.length === 0) return found;
	const read = await db().query<Pick<MouldRow, 'id' | 'version' | 'updatedAt' | 'inputs' | 'plan'>>(
		'SELECT id, version, updatedAt, inputs, plan FROM moulds WHERE id IN (:ids)',
		{ type: QueryTypes.SELECT, replacements: { ids: missing.map((row) => row.id) } }
	);
	for (const row of read) {
		const inputs = withDefaults(parsed(row.inputs));
		const plan = planWithDefaults(parsed(row.plan), inputs);
		found.set(row.id, plans.keep(row.id, stampOf(row), { inputs, plan }));
	}
	return found;
}

async function toMoulds(rows: readonly Joined[]): Promise<Mould[]> {
	const known = await plansOf(rows);
	return rows.flatMap((row) => {
		const planned = known.get(row.id);
		// gone between the two questions
		return planned ? [toMould(row, planned)] : [];
	});
}

function toMould(row: Joined, { inputs, plan }: Planned): Mould {
	return {
		id: row.id,
		version: row.version,
		number: row.number,
		label: row.label,
		masterId: row.masterId,
		masterName: row.masterName,
		rubberName: row.rubberName ?? '',
		rubberId: row.rubberId,
		predecessorId: row.predecessorId,
		making: parsed(row.making),
		inspection: parsed(row.inspection),
		state: row.state,
		place: row.place,
		inputs,
		plan,
		pouredAt: asDate(row.pouredAt),
		readyAt: asDate(row.readyAt),
		pulls: Number(row.pulls),
		lastPullAt: asDate(row.lastPullAt),
		pullsRevision: String(row.pullsRevision ?? '')
	};
}

/** Says whether any mould, its pulls, or a name that stands with it changed. */
const STAMP = `
	SELECT CONCAT_WS('/',
		(SELECT CONCAT(COUNT(*), ':', COALESCE(SUM(version), 0), ':', COALESCE(MAX(updatedAt), '')) FROM moulds),
		(SELECT CONCAT(COUNT(*), ':', COALESCE(BIT_XOR(revision), 0)) FROM mould_pulls),
		(SELECT CONCAT(COUNT(*), ':', COALESCE(SUM(version), 0), ':', COALESCE(MAX(updatedAt), '')) FROM masters),
		(SELECT CONCAT(COUNT(*), ':', COALESCE(SUM(version), 0), ':', COALESCE(MAX(updatedAt), '')) FROM materials)) AS stamp`;
const lists = new RowCache<Mould[]>(50);

/** Moulds, the newest first; the list is read anew only when something in it changed. */
export async function listMoulds(where: { masterId?: string } = {}): Promise<Mould[]> {
	const [now] = await db().query<{ stamp: string }>(STAMP, { type: QueryTypes.SELECT });
	const key = where.masterId ?? 'all';
	const known = lists.peek(key, now!.stamp);
	if (known) return [...known];
	const rows = await db().query<Joined>(
		`${SELECT} ${where.masterId ? 'WHERE m.masterId = :masterId' : ''} ORDER BY m.number DESC`,
		{ type: QueryTypes.SELECT, replacements: where }
	);
	return [...lists.keep(key, now!.stamp, await toMoulds(rows))];
}

export async function getMould(id: string): Promise<Mould> {
	const rows = await db().query<Joined>(`${SELECT} WHERE m.id = :id`, {
		type: QueryTypes.SELECT,
		replacements: { id }
	});
	const [mould] = await toMoulds(rows);
	if (!mould) throw new NotFoundError('mould');
	return mould;
}

/** Plans a mould from the records that its inputs name. */
async function planned(inputs: MouldInputs) {
	const master = await getMaster(inputs.masterId);
	const materials = {
		rubber: inRubber(inputs.kind) ? await getRubber(inputs.rubberId) : undefined,
		thermoplastic:
			MADE_OF[inputs.kind] === 'thermoplastic'
				? await getMaterial('thermoplastic', inputs.thermoplasticId)
				: undefined
	};
	if (inputs.predecessorId) {
		const before = await getMould(inputs.predecessorId);
		if (before.masterId !== master.id)
			throw new RefusedError(
				`M${before.number} is made from another master: a successor follows a mould of the same one.`,
				'predecessorId'
			);
	}
	const records: MouldMaterials = {
		rubber: materials.rubber?.record,
		thermoplastic: materials.thermoplastic?.record,
		...(await shellOf(inputs))
	};
	const faceTempC = await faceTemp(inputs, master.record.shape?.findings.thickestMm);
	return { masterId: master.id, materials, plan: planMould(inputs, master.record, records, faceTempC) };
}

/** What the shell of a jacket is made of, as far as it is chosen. */
async function shellOf(inputs: MouldInputs): Promise<Pick<MouldMaterials, 'shellResin' | 'shellFiller'>> {
	if (inputs.kind !== 'jacket' || inputs.shellKind !== 'resin' || !inputs.shellResinId) return {};
	const { record: shellResin } = await getResin(inputs.shellResinId);
	if (!inputs.shellFillerId) return { shellResin };
	return { shellResin, shellFiller: (await getMaterial('filler', inputs.shellFillerId)).record };
}

/** Hottest that the resin of the inputs makes a mould's face, °C; nothing when no resin is said. */
async function faceTemp(inputs: MouldInputs, thicknessMm: number | undefined): Promise<number | undefined> {
	// rubber stands it: only a rigid mould warps
	if (MADE_OF[inputs.kind] !== 'nothing' || !inputs.pourResinId) return undefined;
	const resin = await getResin(inputs.pourResinId);
	return faceTempC(resin.record, inputs.roomTempC, thicknessMm);
}

/** Adds a mould or changes its plan; the plan is worked out here from the records. Returns its id. */
export async function saveMould(
	inputs: MouldInputs,
	{ id = randomUUID(), version, ...by }: Keeping = {}
): Promise<string> {
	const { masterId, materials, plan } = await planned(inputs);
	const change = {
		label: inputs.label,
		masterId,
		rubberId: materials.rubber?.id ?? materials.thermoplastic?.id ?? null,
		predecessorId: inputs.predecessorId || null,
		place: inputs.place,
		// the wall that a container leaves is the wall that heat and wear go by
		inputs: { ...inputs, ...plan.left },
		plan
	};
	const save = async (transaction: Transaction) => {
		if (version !== undefined) {
			const mould = await getMould(id);
			if (mould.pouredAt && JSON.stringify(mould.plan) !== JSON.stringify(plan)) {
				throw new RefusedError(
					'The rubber is poured already: its sizes stay as they are. Plan a new mould instead.',
					'clearanceMm'
				);
			}
			await updateVersioned(tables.moulds(), 'mould', id, version, change, transaction);
			return;
		}
		const number = await nextNumber('mould', transaction);
		await tables.moulds().create({ id, number, state: 'new', version: 1, ...change }, { transaction });
	};
	return makeOnce(id, () => noted(by, ['mould-kept', inputs.label], save));
}

/** Notes when the rubber was poured; its ready-at time follows from the plan. */
export async function pourRubber(id: string, version: number, at: Date, actor?: Actor): Promise<void> {
	const mould = await getMould(id);
	if (mould.pouredAt) throw new RefusedError('The rubber of this mould is poured already.');
	const readyAt = new Date(at.getTime() + mould.plan.readyInS * 1000);
	await noted({ actor }, ['mould-kept', `M${mould.number}, its rubber poured`], (transaction) =>
		updateVersioned(
			tables.moulds(),
			'mould',
			id,
			version,
			{ pouredAt: at, readyAt, state: 'new' },
			transaction
		)
	);
}

/** Moves a mould on in its life. @throws RefusedError for a step that a mould does not take. */
export async function setMouldState(
	id: string,
	version: number,
	state: MouldState,
	by: Pick<Keeping, 'transaction' | 'actor'> = {}
): Promise<void> {
	const mould = await getMould(id);
	if (!nextMouldStates(mould.state).includes(state)) {
		throw new RefusedError(
			`A mould that is ${STATE_WORDS[mould.state]} does not become ${STATE_WORDS[state]}.`
		);
	}
	await noted(by, ['mould-kept', `M${mould.number}, ${STATE_WORDS[state]}`], (transaction) =>
		updateVersioned(tables.moulds(), 'mould', id, version, { state }, transaction)
	);
}

/** Numbers and labels of every mould, for choosing. */
export async function mouldNames(): Promise<{ id: string; number: number; label: string }[]> {
	const rows = await tables
		.moulds()
		.findAll({ attributes: ['id', 'number', 'label'], order: [['number', 'ASC']] });
	return rows.map((row) => {
		const { id, number, label } = row.get({ plain: true });
		return { id, number, label };
	});
}
