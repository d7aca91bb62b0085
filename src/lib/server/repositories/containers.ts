import { randomUUID } from 'node:crypto';
import { QueryTypes, type Transaction } from 'sequelize';
import {
	containerRecord,
	remainingG,
	tinsInUse,
	type ContainerChange,
	type ContainerRecord
} from '$lib/core/shelf';
import { type PourPlan } from '$lib/core/plan';
import { takenG, type PourState } from '$lib/core/bench';
import { db } from '../db/connection';
import { makeOnce } from '../db/makeOnce';
import { RowCache, stampOf } from '../db/rowCache';
import { tables, type ContainerRow } from '../db/models';
import { NotFoundError } from '../errors';
import { updateVersioned } from './versioned';

/** Speeds that readings may teach; past these the readings are wrong, not the resin. */
export const SPEED = { least: 0.2, most: 5 };

interface Container {
	id: string;
	version: number;
	record: ContainerRecord;
	materialName: string;
	weighedAt: Date;
	/** Its own speed against the sheet, learned from readings. */
	rateFactor: number | null;
	emptied: boolean;
	/** Last weighing less what pours took since. */
	remainingG: number;
	/** Openings counted by hand and by pours. */
	openings: number;
}

type Joined = Omit<ContainerRow, 'body'> & {
	body: unknown;
	materialName: string;
	movedG: number;
	movements: number;
};

const SELECT = `
	SELECT c.*, m.name AS materialName,
		COALESCE((SELECT SUM(s.massG) FROM stock_movements s WHERE s.containerId = c.id AND s.at >= c.weighedAt), 0) AS movedG,
		(SELECT COUNT(*) FROM stock_movements s WHERE s.containerId = c.id) AS movements
	FROM containers c JOIN materials m ON m.id = c.materialId`;

const records = new RowCache<ContainerRecord>();

function toContainer(row: Joined): Container {
	const record = records.get(row.id, stampOf(row), () =>
		containerRecord.parse(typeof row.body === 'string' ? JSON.parse(row.body) : row.body)
	);
	const openings = record.openings + Number(row.movements);
	return {
		id: row.id,
		version: row.version,
		record: { ...record, openings },
		materialName: row.materialName,
		weighedAt: new Date(row.weighedAt),
		rateFactor: row.rateFactor,
		emptied: Boolean(row.emptied),
		remainingG: remainingG(record.weighedG, Number(row.movedG)),
		openings
	};
}

export async function listContainers(where: { materialId?: string } = {}): Promise<Container[]> {
	const rows = await db().query<Joined>(
		`${SELECT} ${where.materialId ? 'WHERE c.materialId = :materialId' : ''} ORDER BY c.emptied, m.name, c.part, c.createdAt`,
		{ type: QueryTypes.SELECT, replacements: where }
	);
	return rows.map(toContainer);
}

export async function getContainer(id: string): Promise<Container> {
	const [row] = await db().query<Joined>(`${SELECT} WHERE c.id = :id`, {
		type: QueryTypes.SELECT,
		replacements: { id }
	});
	if (!row) throw new NotFoundError('container');
	return toContainer(row);
}

/** How often it had been opened by then: pours that came after do not count. */
export async function openingsBy(container: Pick<Container, 'id' | 'openings'>, at: Date): Promise<number> {
	const [row] = await db().query<{ n: number }>(
		'SELECT COUNT(*) AS n FROM stock_movements WHERE containerId = :id AND at > :at',
		{
			type: QueryTypes.SELECT,
			replacements: { id: container.id, at: at.toISOString().replace('T', ' ').replace('Z', '') }
		}
	);
	return Math.max(0, container.openings - Number(row!.n));
}

/** Adds a container. */
export async function saveContainer(
	record: ContainerRecord,
	at: Date,
	id: string = randomUUID()
): Promise<string> {
	return makeOnce(id, () =>
		tables.containers().create({
			id,
			materialId: record.materialId,
			part: record.part,
			body: record,
			weighedAt: at,
			rateFactor: null,
			emptied: false,
			version: 1
		})
	);
}

/**
 * Changes a container. What pours take meanwhile is neither put back nor forgotten: only a weight that was typed is a
 * weighing, and openings move by as many as were typed more or fewer than the page showed.
 * @param was.openings that the page showed; those of now unless said
 */
export async function changeContainer(
	change: ContainerChange,
	at: Date,
	was: { id: string; version: number; openings?: number }
): Promise<void> {
	const before = await getContainer(was.id);
	const own = await ownOpenings(was.id);
	const openings = Math.max(0, own + change.openings - (was.openings ?? before.openings));
	const { weighedG } = change;
	const body = { ...change, openings, weighedG: weighedG ?? before.record.weighedG };
	await updateVersioned(tables.containers(), 'container', was.id, was.version, {
		materialId: change.materialId,
		part: change.part,
		body,
		...(weighedG === undefined ? {} : { weighedAt: at })
	});
}

async function ownOpenings(id: string): Promise<number> {
	const row = await tables.containers().findByPk(id);
	return row ? row.get({ plain: true }).body.openings : 0;
}

export async function setEmptied(id: string, version: number, emptied: boolean): Promise<void> {
	await updateVersioned(tables.containers(), 'container', id, version, { emptied });
}

/** Keeps what readings taught of a container's speed. */
export async function setRateFactor(id: string, rateFactor: number | null): Promise<void> {
	const { version } = await getContainer(id);
	await updateVersioned(tables.containers(), 'container', id, version, { rateFactor });
}

/** The tins that a pour of this material takes from: the oldest that is in use, by part. */
export async function inUse(materialId: string): Promise<{ a?: Container; b?: Container }> {
	const all = await listContainers({ materialId });
	return tinsInUse(all.map((c) => ({ ...c, part: c.record.part })));
}

/** Books out what a pour took, once resin was combined; nothing while it was not, or no longer. */
export async function moveStockForPour(
	pourId: string,
	plan: PourPlan,
	state: PourState,
	transaction: Transaction
): Promise<void> {
	await db().query('DELETE FROM stock_movements WHERE pourId = ?', { replacements: [pourId], transaction });
	if (state.combinedAtMs === undefined) return;
	const { aG, bG } = takenG(plan, state);
	const taken = [
		{ containerId: plan.containers?.a, massG: aG },
		{ containerId: plan.containers?.b, massG: bG }
	];
	for (const { containerId, massG } of taken) {
		if (!containerId || !(massG > 0)) continue;
		await db().query('INSERT INTO stock_movements (pourId, containerId, massG, at) VALUES (?, ?, ?, ?)', {
			replacements: [pourId, containerId, massG, new Date(state.combinedAtMs)],
			transaction
		});
	}
}

/** What stood in a container over time: the last weighing, less every movement since; earlier ones before it. */
export async function stockThroughTime(id: string): Promise<{ atMs: number; massG: number }[]> {
	const container = await getContainer(id);
	const rows = await db().query<{ at: Date; massG: number }>(
		'SELECT at, massG FROM stock_movements WHERE containerId = ? ORDER BY at',
		{ type: QueryTypes.SELECT, replacements: [id] }
	);
	const weighedMs = container.weighedAt.getTime();
	let left = container.record.weighedG;
	const since = rows.filter((r) => new Date(r.at).getTime() >= weighedMs);
	return [
		{ atMs: weighedMs, massG: left },
		...since.map((r) => {
			left = Math.max(0, left - Number(r.massG));
			return { atMs: new Date(r.at).getTime(), massG: left };
		})
	];
}
