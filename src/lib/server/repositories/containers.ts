import { randomUUID } from 'node:crypto';
import { QueryTypes, type Transaction } from 'sequelize';
import { containerRecord, remainingG, type ContainerRecord } from '$lib/core/shelf';
import { takenG, type PourPlan, type PourState } from '$lib/core/pour';
import { db } from '../db/connection';
import { KeptRows, stampOf } from '../db/keptRows';
import { tables, type ContainerRow } from '../db/models';
import { NotFoundError } from '../errors';
import { updateVersioned } from './versioned';

/** Speeds that readings may teach; past these the readings are wrong, not the resin. */
export const SPEED = { least: 0.2, most: 5 };

export interface Container {
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
	bookedG: number;
	bookings: number;
};

const SELECT = `
	SELECT c.*, m.name AS materialName,
		COALESCE((SELECT SUM(b.massG) FROM bookings b WHERE b.containerId = c.id AND b.at >= c.weighedAt), 0) AS bookedG,
		(SELECT COUNT(*) FROM bookings b WHERE b.containerId = c.id) AS bookings
	FROM containers c JOIN materials m ON m.id = c.materialId`;

const records = new KeptRows<ContainerRecord>();

function toContainer(row: Joined): Container {
	const record = records.get(row.id, stampOf(row), () =>
		containerRecord.parse(typeof row.body === 'string' ? JSON.parse(row.body) : row.body)
	);
	const openings = record.openings + Number(row.bookings);
	return {
		id: row.id,
		version: row.version,
		record: { ...record, openings },
		materialName: row.materialName,
		weighedAt: new Date(row.weighedAt),
		rateFactor: row.rateFactor,
		emptied: Boolean(row.emptied),
		remainingG: remainingG(record.weighedG, Number(row.bookedG)),
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
		'SELECT COUNT(*) AS n FROM bookings WHERE containerId = :id AND at > :at',
		{
			type: QueryTypes.SELECT,
			replacements: { id: container.id, at: at.toISOString().replace('T', ' ').replace('Z', '') }
		}
	);
	return Math.max(0, container.openings - Number(row!.n));
}

/** Adds a container, or changes one: what is typed as its content counts as weighed now. */
export async function saveContainer(
	record: ContainerRecord,
	at: Date,
	existing?: { id: string; version: number }
): Promise<string> {
	const base = { materialId: record.materialId, part: record.part };
	if (existing) {
		const before = await getContainer(existing.id);
		// pours count openings by themselves: what was typed is the whole, so theirs come off
		const byPours = before.openings - (await ownOpenings(existing.id));
		const body = { ...record, openings: Math.max(0, record.openings - byPours) };
		const weighed = Math.abs(record.weighedG - before.remainingG) > 1e-6;
		const kept = weighed ? { body, weighedAt: at } : { body: { ...body, weighedG: before.record.weighedG } };
		await updateVersioned(tables.containers(), 'container', existing.id, existing.version, {
			...base,
			...kept
		});
		return existing.id;
	}
	const id = randomUUID();
	await tables
		.containers()
		.create({ id, ...base, body: record, weighedAt: at, rateFactor: null, emptied: false, version: 1 });
	return id;
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
	const all = (await listContainers({ materialId })).filter((c) => !c.emptied && c.remainingG > 0);
	const first = (parts: string[]) => all.find((c) => parts.includes(c.record.part));
	const a = first(['A', 'whole']);
	const b = first(['B']);
	return { ...(a ? { a } : {}), ...(b ? { b } : {}) };
}

/** Books out what a pour took, once resin was combined; nothing while it was not, or no longer. */
export async function bookPour(
	pourId: string,
	plan: PourPlan,
	state: PourState,
	transaction: Transaction
): Promise<void> {
	await db().query('DELETE FROM bookings WHERE pourId = ?', { replacements: [pourId], transaction });
	if (state.combinedAtMs === undefined) return;
	const { aG, bG } = takenG(plan, state);
	const taken = [
		{ containerId: plan.containers?.a, massG: aG },
		{ containerId: plan.containers?.b, massG: bG }
	];
	for (const { containerId, massG } of taken) {
		if (!containerId || !(massG > 0)) continue;
		await db().query('INSERT INTO bookings (pourId, containerId, massG, at) VALUES (?, ?, ?, ?)', {
			replacements: [pourId, containerId, massG, new Date(state.combinedAtMs)],
			transaction
		});
	}
}

/** What stood in a container over time: the last weighing, less every booking since; earlier ones before it. */
export async function stockThroughTime(id: string): Promise<{ atMs: number; massG: number }[]> {
	const container = await getContainer(id);
	const rows = await db().query<{ at: Date; massG: number }>(
		'SELECT at, massG FROM bookings WHERE containerId = ? ORDER BY at',
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
