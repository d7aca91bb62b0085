import { randomUUID } from 'node:crypto';
import { QueryTypes, type Transaction } from 'sequelize';
import {
	nextMouldStates,
	planMould,
	type MouldPlan,
	type MouldInputs,
	type MouldState
} from '$lib/core/mould';
import { db, inTransaction } from '../db/connection';
import { tables, type MouldRow } from '../db/models';
import { NotFoundError, RefusedError } from '../errors';
import { nextNumber } from './counters';
import { getMaster } from './masters';
import { getRubber } from './materials';
import { updateVersioned } from './versioned';

export interface Mould {
	id: string;
	version: number;
	number: number;
	label: string;
	masterId: string;
	masterName: string;
	rubberName: string;
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

type Joined = MouldRow & { masterName: string; rubberName: string; pulls: number; lastPullAt: Date | null };

const SELECT = `
	SELECT m.*, a.name AS masterName, r.name AS rubberName,
		(SELECT COUNT(*) FROM pulls p WHERE p.mouldId = m.id) AS pulls,
		(SELECT MAX(p.combinedAt) FROM pulls p WHERE p.mouldId = m.id) AS lastPullAt
	FROM moulds m JOIN masters a ON a.id = m.masterId JOIN materials r ON r.id = m.rubberId`;

function asDate(value: unknown): Date | null {
	return value === null || value === undefined ? null : new Date(value as string | Date);
}

function parsed<T>(value: unknown): T {
	return (typeof value === 'string' ? JSON.parse(value) : value) as T;
}

function toMould(row: Joined): Mould {
	return {
		id: row.id,
		version: row.version,
		number: row.number,
		label: row.label,
		masterId: row.masterId,
		masterName: row.masterName,
		rubberName: row.rubberName,
		state: row.state,
		place: row.place,
		inputs: parsed(row.inputs),
		plan: parsed(row.plan),
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

/** Adds a mould or changes its plan; the plan is worked out here from the records. Returns its id. */
export async function saveMould(
	inputs: MouldInputs,
	existing?: { id: string; version: number }
): Promise<string> {
	const [master, rubber] = await Promise.all([getMaster(inputs.masterId), getRubber(inputs.rubberId)]);
	const plan = planMould(inputs, master.record, rubber.record);
	const change = {
		label: inputs.label,
		masterId: master.id,
		rubberId: rubber.id,
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
	await updateVersioned(tables.moulds(), 'mould', id, version, { pouredAt: at, readyAt });
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
