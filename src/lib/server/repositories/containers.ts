import { randomUUID } from 'node:crypto';
import { QueryTypes } from 'sequelize';
import {
	containerRecord,
	remainingG,
	tinsInUse,
	type ContainerChange,
	type ContainerRecord
} from '$lib/core/shelf';
import { db, inTransaction } from '../db/connection';
import { makeOnce } from '../db/makeOnce';
import { RowCache, stampOf } from '../db/rowCache';
import { tables, type ContainerRow } from '../db/models';
import { NotFoundError } from '../errors';
import { note, type Actor } from '../people/audit';
import { noted } from './keeping';
import { addLine, stockLines } from './stock';
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
	/** Last weighing less what went out since. */
	remainingG: number;
	/** Taken out beyond what was weighed, g. */
	overdrawnG: number;
	/** Openings counted by hand and by pours. */
	openings: number;
}

type Joined = Omit<ContainerRow, 'body'> & {
	body: unknown;
	materialName: string;
	weighedG: number | null;
	weighedAt: Date | null;
	movedG: number;
	openings: number;
};

/** Since the last weighing, as they arrived; an amendment stands where the line stands that it amends. */
const SELECT = `
	SELECT c.*, m.name AS materialName, w.massG AS weighedG, w.at AS weighedAt,
		COALESCE((SELECT SUM(IF(s.kind = 'corrected', -s.massG, s.massG)) FROM stock_movements s
			WHERE s.containerId = c.id AND s.kind IN ('used', 'thrown-away', 'corrected')
				AND COALESCE(s.placeSeq, s.seq) > COALESCE(w.seq, 0)), 0) AS movedG,
		COALESCE((SELECT SUM(s.openings) FROM stock_movements s WHERE s.containerId = c.id), 0) AS openings
	FROM containers c JOIN materials m ON m.id = c.materialId
	LEFT JOIN stock_movements w ON w.containerId = c.id AND w.kind = 'weighed' AND w.seq =
		(SELECT MAX(x.seq) FROM stock_movements x WHERE x.containerId = c.id AND x.kind = 'weighed')`;

const records = new RowCache<ContainerRecord>();

function toContainer(row: Joined): Container {
	const record = records.get(row.id, stampOf(row), () =>
		containerRecord.parse(typeof row.body === 'string' ? JSON.parse(row.body) : row.body)
	);
	const openings = Math.max(0, Number(row.openings));
	const weighedG = Number(row.weighedG ?? 0);
	return {
		id: row.id,
		version: row.version,
		record: { ...record, openings, weighedG },
		materialName: row.materialName,
		weighedAt: new Date(row.weighedAt ?? row.createdAt),
		rateFactor: row.rateFactor,
		emptied: Boolean(row.emptied),
		remainingG: remainingG(weighedG, Number(row.movedG)),
		overdrawnG: Math.max(0, Number(row.movedG) - weighedG),
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
		"SELECT COALESCE(SUM(openings), 0) AS n FROM stock_movements WHERE containerId = :id AND kind = 'used' AND at > :at",
		{
			type: QueryTypes.SELECT,
			replacements: { id: container.id, at: at.toISOString().replace('T', ' ').replace('Z', '') }
		}
	);
	return Math.max(0, container.openings - Number(row!.n));
}

/** Adds a container, with what was weighed and counted on it as its first lines. */
export async function saveContainer(
	record: ContainerRecord,
	at: Date,
	id: string = randomUUID(),
	actor?: Actor
): Promise<string> {
	return makeOnce(id, () =>
		inTransaction(async (transaction) => {
			await note(actor, 'stock-changed', `new, ${id}`, transaction);
			await tables.containers().create(
				{
					id,
					materialId: record.materialId,
					part: record.part,
					body: record,
					rateFactor: null,
					emptied: false,
					version: 1
				},
				{ transaction }
			);
			await addLine({ containerId: id, kind: 'weighed', massG: record.weighedG, at }, transaction);
			if (record.openings > 0)
				await addLine({ containerId: id, kind: 'opened', openings: record.openings, at }, transaction);
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
	was: { id: string; version: number; openings?: number },
	actor?: Actor
): Promise<void> {
	const before = await getContainer(was.id);
	const opened = change.openings - (was.openings ?? before.openings);
	const { weighedG } = change;
	await inTransaction(async (transaction) => {
		const row = await tables.containers().findByPk(was.id, { transaction });
		// what the form was first filled in with stays in it: what holds now is in the lines
		const first = row!.get({ plain: true }).body;
		const body = { ...change, openings: first.openings, weighedG: first.weighedG };
		await updateVersioned(
			tables.containers(),
			'container',
			was.id,
			was.version,
			{ materialId: change.materialId, part: change.part, body },
			transaction
		);
		await note(actor, 'stock-changed', was.id, transaction);
		const line = { containerId: was.id, at };
		if (weighedG !== undefined) await addLine({ ...line, kind: 'weighed', massG: weighedG }, transaction);
		if (opened !== 0) await addLine({ ...line, kind: 'opened', openings: opened }, transaction);
	});
}

const EMPTY = 'it is empty';
const IN_USE = 'back in use';

/** Marks a tin as empty, or takes it back: what it still held by its lines is put right by a line. */
export async function setEmptied(
	id: string,
	version: number,
	emptied: boolean,
	actor?: Actor
): Promise<void> {
	const { remainingG: leftG } = await getContainer(id);
	const lines = await stockLines(id);
	await inTransaction(async (transaction) => {
		await updateVersioned(tables.containers(), 'container', id, version, { emptied }, transaction);
		await note(actor, 'stock-changed', `${emptied ? 'emptied' : 'back in use'}, ${id}`, transaction);
		const last = lines.findLast((l) => l.kind === 'weighed' || l.note === EMPTY || l.note === IN_USE);
		const massG = emptied ? -leftG : last?.note === EMPTY ? -(last.massG ?? 0) : 0;
		if (massG !== 0)
			await addLine(
				{ containerId: id, kind: 'corrected', massG, at: new Date(), note: emptied ? EMPTY : IN_USE },
				transaction
			);
	});
}

/** Keeps what readings taught of a container's speed; nothing is its sheet's. */
export async function setRateFactor(id: string, rateFactor: number | null, actor?: Actor): Promise<void> {
	const { version, record } = await getContainer(id);
	const about = `${record.lot || id}, ${rateFactor === null ? 'as its sheet says' : rateFactor.toFixed(2)}`;
	await noted({ actor }, ['speed-kept', about], (transaction) =>
		updateVersioned(tables.containers(), 'container', id, version, { rateFactor }, transaction)
	);
}

/** The tins that a pour of this material takes from: the oldest that is in use, by part. */
export async function inUse(materialId: string): Promise<{ a?: Container; b?: Container }> {
	const all = await listContainers({ materialId });
	return tinsInUse(all.map((c) => ({ ...c, part: c.record.part })));
}

/** The tins that fillers are taken from, by the fillers' names, as far as any stands on the shelf. */
export async function tinsOfFillers(
	fillers: readonly { id: string; record: { name: string } }[]
): Promise<Record<string, string>> {
	const tins = await Promise.all(fillers.map((f) => inUse(f.id)));
	return Object.fromEntries(fillers.flatMap((f, i) => (tins[i]!.a ? [[f.record.name, tins[i]!.a.id]] : [])));
}
