import { QueryTypes, type Transaction } from 'sequelize';
import { OPEN_STATES, type OrderRecord } from '$lib/core/orders';
import { ownCopies } from '$lib/core/plan';
import { db, inTransaction } from '../db/connection';
import { makeOnce } from '../db/makeOnce';
import { plain, tables, type OrderRow } from '../db/models';
import { NotFoundError, RefusedError } from '../errors';
import { note, type Actor } from '../people/audit';
import { nextNumber } from './counters';
import { noted, type Keeping } from './keeping';
import { updateVersioned } from './versioned';

export interface Order {
	id: string;
	version: number;
	number: number;
	record: OrderRecord;
}

/** What a line has got so far: copies by what became of them. */
export interface LineCount {
	good: number;
	scrap: number;
	/** In the moulds now. */
	casting: number;
	/** Pours that were begun for it and not given up. */
	pours: number;
}

const toOrder = ({ id, version, number, body }: OrderRow): Order => ({ id, version, number, record: body });

export async function listOrders(openOnly = false): Promise<Order[]> {
	const rows = await tables.orders().findAll({
		...(openOnly && { where: { state: [...OPEN_STATES] } }),
		order: [
			['dueAt', 'ASC'],
			['number', 'ASC']
		],
		limit: 500
	});
	return rows.map((row) => toOrder(plain(row)));
}

export async function getOrder(id: string): Promise<Order> {
	const row = await tables.orders().findByPk(id);
	if (!row) throw new NotFoundError('order');
	return toOrder(plain(row));
}

/** The orders that pours were cast for, by the pour; those that were for none are not among them. */
export async function ordersOfPours(
	pourIds: readonly (string | null)[]
): Promise<Map<string, { id: string; name: string }>> {
	const ids = pourIds.filter((id) => id !== null);
	if (ids.length === 0) return new Map();
	const rows = await db().query<{ pourId: string; id: string; name: string }>(
		`SELECT p.id AS pourId, o.id, o.name FROM pours p
		JOIN orders o ON o.id = JSON_VALUE(p.plan, '$.order.id')
		WHERE p.id IN (:ids) AND p.orderLineId IS NOT NULL`,
		{ type: QueryTypes.SELECT, replacements: { ids } }
	);
	return new Map(rows.map(({ pourId, ...order }) => [pourId, order]));
}

/** Keeps a new order, or changes one. @throws RefusedError for a shot that is not in the books */
export async function saveOrder(
	id: string,
	record: OrderRecord,
	{ version, ...by }: Omit<Keeping, 'id'> = {}
): Promise<string> {
	const asked = [...new Set(record.lines.map((l) => l.shotId))];
	const known = await tables.shots().findAll({ attributes: ['id'], where: { id: asked } });
	const there = new Set(known.map((row) => plain(row).id));
	const missing = record.lines.findIndex((l) => !there.has(l.shotId));
	if (missing >= 0)
		throw new RefusedError(
			'This shot is not in the books any more: choose another.',
			`lines.${missing}.shotId`
		);
	const values = { name: record.name, state: record.state, dueAt: new Date(record.dueAtMs), body: record };
	const save = async (transaction: Transaction) => {
		if (version !== undefined)
			return updateVersioned(tables.orders(), 'order', id, version, values, transaction);
		const number = await nextNumber('order', transaction);
		await tables.orders().create({ id, number, version: 1, ...values }, { transaction });
	};
	return makeOnce(id, () => noted(by, ['order-kept', record.name], save));
}

/** So many more copies of a line are finished; never more than there are good ones. */
export async function addFinished(
	orderId: string,
	lineId: string,
	copies: number,
	actor?: Actor
): Promise<void> {
	await inTransaction(async (transaction) => {
		const row = await tables.orders().findByPk(orderId, { transaction, lock: transaction.LOCK.UPDATE });
		if (!row) throw new NotFoundError('order');
		const { body, version } = plain(row);
		const good = (await countLines([lineId])).get(lineId)!.good;
		const lines = body.lines.map((l) =>
			l.id === lineId ? { ...l, finished: Math.min(good, (l.finished ?? 0) + copies) } : l
		);
		await row.update({ body: { ...body, lines }, version: version + 1 }, { transaction });
		await note(actor, 'copies-finished', `${copies} of ${body.name}`, transaction);
	});
}

/** What each of these lines has got so far. */
export async function countLines(lineIds: readonly string[]): Promise<Map<string, LineCount>> {
	const found = new Map<string, LineCount>(
		lineIds.map((id) => [id, { good: 0, scrap: 0, casting: 0, pours: 0 }])
	);
	if (lineIds.length === 0) return found;
	const [graded, begun] = await Promise.all([
		db().query<{ id: string; grade: string; copies: number }>(
			// a cup may have filled moulds of other pieces too
			`SELECT o.orderLineId AS id, p.grade, SUM(p.copies) AS copies FROM pours o JOIN pulls p ON p.pourId = o.id
			WHERE o.orderLineId IN (:ids) AND p.masterName = JSON_VALUE(o.plan, '$.masterName') GROUP BY o.orderLineId, p.grade`,
			{ type: QueryTypes.SELECT, replacements: { ids: lineIds } }
		),
		tables.pours().findAll({
			attributes: ['orderLineId', 'status', 'plan'],
			where: { orderLineId: [...lineIds], status: ['open', 'finished'] }
		})
	]);
	for (const { id, grade, copies } of graded)
		found.get(id)![grade === 'scrap' ? 'scrap' : 'good'] += Number(copies);
	for (const row of begun) {
		const { orderLineId, status, plan } = plain(row);
		const count = found.get(orderLineId!)!;
		count.pours++;
		if (status === 'open') count.casting += ownCopies(plan);
	}
	return found;
}
