import { randomUUID } from 'node:crypto';
import { QueryTypes, type Transaction } from 'sequelize';
import type { Inspection, MakingPlan } from '$lib/core/making';

import {
	faceTempC,
	inRubber,
	mouldInputs,
	nextMouldStates,
	planMould,
	type MouldMaterials,
	type MouldPlan,
	type MouldInputs,
	type MouldState
} from '$lib/core/mould';
import { db, inTransaction } from '../db/connection';
import { tables, type MouldRow } from '../db/models';
import { NotFoundError, RefusedError } from '../errors';
import { nextNumber } from './counters';
import { getMaster } from './masters';
import { getMaterial, getResin, getRubber } from './materials';
import { savePhoto } from './photos';
import { updateVersioned } from './versioned';

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
}

type Joined = MouldRow & {
	masterName: string;
	rubberName: string | null;
	pulls: number;
	lastPullAt: Date | null;
};

const SELECT = `
	SELECT m.*, a.name AS masterName, r.name AS rubberName,
		(SELECT COUNT(*) FROM pulls p WHERE p.mouldId = m.id) AS pulls,
		(SELECT MAX(p.combinedAt) FROM pulls p WHERE p.mouldId = m.id) AS lastPullAt
	FROM moulds m JOIN masters a ON a.id = m.masterId LEFT JOIN materials r ON r.id = m.rubberId`;

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

function toMould(row: Joined): Mould {
	const inputs = withDefaults(parsed(row.inputs));
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
		plan: planWithDefaults(parsed(row.plan), inputs),
		pouredAt: asDate(row.pouredAt),
		readyAt: asDate(row.readyAt),
		pulls: Number(row.pulls),
		lastPullAt: asDate(row.lastPullAt)
	};
}

export async function listMoulds(where: { masterId?: string } = {}): Promise<Mould[]> {
	const rows = await db().query<Joined>(
		`${SELECT} ${where.masterId ? 'WHERE m.masterId = :masterId' : ''} ORDER BY m.number DESC`,
		{ type: QueryTypes.SELECT, replacements: where }
	);
	return rows.map(toMould);
}

export async function getMould(id: string): Promise<Mould> {
	const rows = await db().query<Joined>(`${SELECT} WHERE m.id = :id`, {
		type: QueryTypes.SELECT,
		replacements: { id }
	});
	if (!rows[0]) throw new NotFoundError('mould');
	return toMould(rows[0]);
}

/** Plans a mould from the records that its inputs name. */
async function planned(inputs: MouldInputs) {
	const master = await getMaster(inputs.masterId);
	const materials = {
		rubber: inRubber(inputs.kind) ? await getRubber(inputs.rubberId) : undefined,
		thermoplastic:
			inputs.kind === 'press' ? await getMaterial('thermoplastic', inputs.thermoplasticId) : undefined
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
		thermoplastic: materials.thermoplastic?.record
	};
	const faceTempC = await faceTemp(inputs, master.record.shape?.findings.thickestMm);
	return { masterId: master.id, materials, plan: planMould(inputs, master.record, records, faceTempC) };
}

/** Hottest that the resin of the inputs makes a mould's face, °C; nothing when no resin is said. */
async function faceTemp(inputs: MouldInputs, thicknessMm: number | undefined): Promise<number | undefined> {
	if (inputs.kind !== 'rigid' || !inputs.pourResinId) return undefined;
	const resin = await getResin(inputs.pourResinId);
	return faceTempC(resin.record, inputs.roomTempC, thicknessMm);
}

/** Adds a mould or changes its plan; the plan is worked out here from the records. Returns its id. */
export async function saveMould(
	inputs: MouldInputs,
	existing?: { id: string; version: number }
): Promise<string> {
	const { masterId, materials, plan } = await planned(inputs);
	const change = {
		label: inputs.label,
		masterId,
		rubberId: materials.rubber?.id ?? materials.thermoplastic?.id ?? null,
		predecessorId: inputs.predecessorId || null,
		place: inputs.place,
		inputs,
		plan
	};
	return inTransaction(async (transaction) => {
		if (existing) {
			const mould = await getMould(existing.id);
			if (mould.pouredAt && JSON.stringify(mould.plan) !== JSON.stringify(plan)) {
				throw new RefusedError(
					'The rubber is poured already: its sizes stay as they are. Plan a new mould instead.',
					'clearanceMm'
				);
			}
			await updateVersioned(tables.moulds(), 'mould', existing.id, existing.version, change, transaction);
			return existing.id;
		}
		const id = randomUUID();
		const number = await nextNumber('mould', transaction);
		await tables.moulds().create({ id, number, state: 'new', version: 1, ...change }, { transaction });
		return id;
	});
}

/** Notes when the rubber was poured; its ready-at time follows from the plan. */
export async function pourRubber(id: string, version: number, at: Date): Promise<void> {
	const mould = await getMould(id);
	if (mould.pouredAt) throw new RefusedError('The rubber of this mould is poured already.');
	const readyAt = new Date(at.getTime() + mould.plan.readyInS * 1000);
	await updateVersioned(tables.moulds(), 'mould', id, version, { pouredAt: at, readyAt, state: 'new' });
}

/** Moves a mould on in its life. @throws RefusedError for a step that a mould does not take. */
export async function setMouldState(
	id: string,
	version: number,
	state: MouldState,
	transaction?: Transaction
): Promise<void> {
	const mould = await getMould(id);
	if (!nextMouldStates(mould.state).includes(state)) {
		throw new RefusedError(`A mould that is ${mould.state} does not become ${state}.`);
	}
	await updateVersioned(tables.moulds(), 'mould', id, version, { state }, transaction);
}

/** A picture of a mould. */
export interface MouldPhoto {
	id: string;
	photoId: string;
	caption: string;
	addedAt: Date;
}

export async function listMouldPhotos(mouldId: string): Promise<MouldPhoto[]> {
	const rows = await db().query<{ id: string; photoId: string; caption: string; createdAt: Date }>(
		'SELECT id, photoId, caption, createdAt FROM mould_photos WHERE mouldId = :mouldId ORDER BY createdAt, id',
		{ type: QueryTypes.SELECT, replacements: { mouldId } }
	);
	return rows.map(({ id, photoId, caption, createdAt }) => ({
		id,
		photoId,
		caption,
		addedAt: new Date(createdAt)
	}));
}

/** Most pictures of one mould. */
const MOST_PHOTOS = 60;

/** Keeps a picture with a mould. @throws RefusedError for what is no picture, or one too many */
export async function addMouldPhoto(mouldId: string, bytes: Buffer, caption: string): Promise<void> {
	await getMould(mouldId);
	await inTransaction(async (transaction) => {
		const photoId = await savePhoto(bytes, transaction);
		const [count] = await db().query<{ n: number }>(
			'SELECT COUNT(*) AS n FROM mould_photos WHERE mouldId = :mouldId',
			{ type: QueryTypes.SELECT, replacements: { mouldId }, transaction }
		);
		if (Number(count?.n) >= MOST_PHOTOS)
			throw new RefusedError(`At most ${MOST_PHOTOS} pictures of one mould.`, 'photo');
		const now = new Date();
		await db().query(
			'INSERT INTO mould_photos (id, mouldId, photoId, caption, createdAt, updatedAt) VALUES (?, ?, ?, ?, ?, ?)',
			{
				type: QueryTypes.INSERT,
				replacements: [randomUUID(), mouldId, photoId, caption.trim().slice(0, 120), now, now],
				transaction
			}
		);
	});
}

/** Takes a picture off a mould; the picture itself stays in the store. */
export async function removeMouldPhoto(mouldId: string, id: string): Promise<void> {
	await db().query('DELETE FROM mould_photos WHERE id = :id AND mouldId = :mouldId', {
		type: QueryTypes.DELETE,
		replacements: { id, mouldId }
	});
}
