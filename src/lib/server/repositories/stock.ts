import { randomUUID } from 'node:crypto';
import { QueryTypes, type Transaction } from 'sequelize';
import { takenG, type PourState } from '$lib/core/bench';
import type { PourPlan } from '$lib/core/plan';
import {
	bookingsFor,
	inStockOrder,
	stockOf,
	type Booked,
	type MovementKind,
	type StockLine
} from '$lib/core/shelf';
import { db, inTransaction } from '../db/connection';
import { makeOnce } from '../db/makeOnce';
import { note, type Actor } from '../people/audit';

interface NewLine {
	containerId: string;
	kind: MovementKind;
	massG?: number | null;
	openings?: number;
	pourId?: string;
	placeSeq?: number | null;
	at: Date;
	note?: string;
}

/** Adds a line; nothing that stands there is ever changed. */
export async function addLine(
	line: NewLine,
	transaction?: Transaction,
	id: string = randomUUID()
): Promise<void> {
	await db().query(
		`INSERT INTO stock_movements (id, containerId, kind, massG, openings, pourId, placeSeq, at, receivedAt, note)
		VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?)`,
		{
			type: QueryTypes.INSERT,
			replacements: [
				id,
				line.containerId,
				line.kind,
				line.massG ?? null,
				line.openings ?? 0,
				line.pourId ?? null,
				line.placeSeq ?? null,
				line.at,
				new Date(),
				line.note ?? ''
			],
			...(transaction ? { transaction } : {})
		}
	);
}

/** Something went out of a tin otherwise than by a pour. @param id made in the page: the same press twice is one line */
export async function throwAway(
	containerId: string,
	massG: number,
	why: string,
	id: string,
	actor?: Actor
): Promise<void> {
	const [known] = await db().query('SELECT 1 FROM stock_movements WHERE id = ?', {
		type: QueryTypes.SELECT,
		replacements: [id]
	});
	if (known) return;
	await makeOnce(id, () =>
		inTransaction(async (transaction) => {
			await note(actor, 'stock-changed', `thrown away, ${containerId}`, transaction);
			await addLine({ containerId, kind: 'thrown-away', massG, at: new Date(), note: why }, transaction, id);
		})
	);
}

/** Every line of a tin, in the order in which they count, with what was left after each. */
export async function stockLines(containerId: string): Promise<StockLine[]> {
	const rows = await db().query<Omit<StockLine, 'afterG'>>(
		`SELECT s.id, s.seq, s.kind, s.massG, s.openings, s.pourId, s.placeSeq, s.at, s.receivedAt, s.note,
			JSON_VALUE(p.plan, '$.masterName') AS masterName
		FROM stock_movements s LEFT JOIN pours p ON p.id = s.pourId WHERE s.containerId = ?`,
		{ type: QueryTypes.SELECT, replacements: [containerId] }
	);
	const lines = inStockOrder(
		rows.map((r) => ({
			...r,
			seq: Number(r.seq),
			placeSeq: r.placeSeq === null ? null : Number(r.placeSeq),
			at: new Date(r.at),
			receivedAt: new Date(r.receivedAt)
		}))
	);
	const { afterG } = stockOf(lines);
	return lines.map((line, i) => ({ ...line, afterG: afterG[i]! }));
}

/** What a pour took so far, by the tin that it came from; one tin may stand for both parts. */
function takenByTin(plan: PourPlan, state: PourState): Map<string, number> {
	const { aG, bG, fillersG } = takenG(plan, state);
	const taken = new Map<string, number>();
	const add = (containerId: string | undefined, massG: number) => {
		if (containerId && massG > 0) taken.set(containerId, (taken.get(containerId) ?? 0) + massG);
	};
	add(plan.containers?.a, aG);
	add(plan.containers?.b, bG);
	for (const [name, massG] of Object.entries(fillersG)) add(plan.containers?.fillers?.[name], massG);
	return taken;
}

/** Books what a pour took, once resin was combined: what it took otherwise than booked before is a line of its own. */
export async function bookPour(
	pourId: string,
	plan: PourPlan,
	state: PourState,
	transaction: Transaction
): Promise<void> {
	const rows = await db().query<Booked & { containerId: string }>(
		`SELECT containerId, SUM(massG) AS massG, SUM(openings) AS openings, MIN(seq) AS firstSeq
		FROM stock_movements WHERE pourId = ? GROUP BY containerId`,
		{ type: QueryTypes.SELECT, replacements: [pourId], transaction }
	);
	const booked = new Map(
		rows.map((r) => [
			r.containerId,
			{ massG: Number(r.massG), openings: Number(r.openings), firstSeq: Number(r.firstSeq) }
		])
	);
	const taken = state.combinedAtMs === undefined ? new Map<string, number>() : takenByTin(plan, state);
	const at = new Date(state.combinedAtMs ?? Date.now());
	for (const line of bookingsFor(taken, booked))
		await addLine({ ...line, kind: 'used', pourId, at }, transaction);
}
