import { randomUUID } from 'node:crypto';
import { QueryTypes } from 'sequelize';
import type { Addition, Correction, ImportedPull } from '$lib/core/ledger';
import type { CauseId, Fault } from '$lib/core/faults';
import type { KeptCorrection } from '$lib/core/ledger';
import { db, inTransaction } from '../db/connection';
import { plain, tables, type PullBody } from '../db/models';
import { NotFoundError, RefusedError } from '../errors';
import { note, type Actor } from '../people/audit';
import { uuidOf } from '../uuidOf';
import { noted } from './keeping';
import { recount } from './mouldPulls';
import { listMoulds } from './moulds';
import { writeFaults } from './pours';

/** Corrects a pull; the old value is kept with who, when and why, in the same transaction. */
export async function correctPull(
	pullId: string,
	id: string,
	c: Correction,
	at: Date,
	actor?: Actor
): Promise<void> {
	await inTransaction(async (transaction) => {
		const row = await tables.pulls().findByPk(pullId, { transaction, lock: transaction.LOCK.UPDATE });
		if (!row) throw new NotFoundError('pull');
		if (await tables.corrections().findByPk(id, { transaction })) return;
		const pull = plain(row);
		const own = c.field === 'grade' || c.field === 'copies';
		const from = own ? pull[c.field] : pull.body[c.field as keyof PullBody];
		if (JSON.stringify(from) === JSON.stringify(c.to))
			throw new RefusedError('That is what stands there already.', 'to');
		await row.update(own ? { [c.field]: c.to } : { body: { ...pull.body, [c.field]: c.to } }, {
			transaction
		});
		if (c.field === 'faults') await writeFaults(pullId, c.to, transaction);
		await recount(transaction, [pull.mouldId]);
		await note(actor, 'pull-corrected', `${c.field}, ${pullId}`, transaction);
		await tables
			.corrections()
			.create(
				{ id, pullId, at, body: { field: c.field, from: from ?? null, to: c.to, who: c.who, why: c.why } },
				{ transaction }
			);
	});
}

/**
 * Adds a weight, a size or the time of mending to a pull that was graded without. What stands there already is not
 * overwritten: that would be a correction.
 * @throws RefusedError where one of them stands there already
 */
export async function addFindings(
	pullId: string,
	id: string,
	added: Addition,
	at: Date,
	actor?: Actor
): Promise<void> {
	await inTransaction(async (transaction) => {
		const row = await tables.pulls().findByPk(pullId, { transaction, lock: transaction.LOCK.UPDATE });
		if (!row) throw new NotFoundError('pull');
		if (await tables.corrections().findByPk(id, { transaction })) return;
		const pull = plain(row);
		const before = pull.body.inspected ?? {};
		const findings = Object.fromEntries(Object.entries(added.findings).filter(([, v]) => v !== undefined));
		const known = Object.keys(findings).filter((k) => before[k as keyof typeof before] !== undefined);
		if (known.length > 0)
			throw new RefusedError('That stands there already: nothing was overwritten.', 'findings');
		await row.update({ body: { ...pull.body, inspected: { ...before, ...findings } } }, { transaction });
		await recount(transaction, [pull.mouldId]);
		await note(actor, 'pull-corrected', `added, ${pullId}`, transaction);
		await tables
			.corrections()
			.create(
				{ id, pullId, at, body: { field: 'added', from: null, to: findings, who: added.who, why: '' } },
				{ transaction }
			);
	});
}

export async function listCorrections(pullId: string): Promise<KeptCorrection[]> {
	const rows = await tables.corrections().findAll({ where: { pullId }, order: [['at', 'DESC']] });
	return rows.map((row) => {
		const { id, at, body } = plain(row);
		return { id, at, ...body };
	});
}

/** Keeps what a fault of a pull came from; said again for the same fault, the newer counts. */
export async function confirmCause(
	pullId: string,
	fault: Fault,
	cause: CauseId,
	at: Date,
	actor?: Actor
): Promise<void> {
	await note(actor, 'cause-confirmed', `${fault}: ${cause}, ${pullId}`);
	await db().query(
		`INSERT INTO pull_causes (id, pullId, fault, cause, createdAt, updatedAt) VALUES (?, ?, ?, ?, ?, ?)
		ON DUPLICATE KEY UPDATE cause = VALUES(cause), updatedAt = VALUES(updatedAt)`,
		{ replacements: [randomUUID(), pullId, fault, cause, at, at] }
	);
}

/** Causes that were confirmed, of this pull and of all. */
export async function confirmedCauses(pullId: string): Promise<{
	here: Partial<Record<Fault, CauseId>>;
	all: Partial<Record<Fault, Partial<Record<CauseId, number>>>>;
}> {
	const [mine, counts] = await Promise.all([
		db().query<{ fault: Fault; cause: CauseId }>('SELECT fault, cause FROM pull_causes WHERE pullId = ?', {
			type: QueryTypes.SELECT,
			replacements: [pullId]
		}),
		db().query<{ fault: Fault; cause: CauseId; n: number }>(
			'SELECT fault, cause, COUNT(*) AS n FROM pull_causes GROUP BY fault, cause',
			{ type: QueryTypes.SELECT }
		)
	]);
	const all: Partial<Record<Fault, Partial<Record<CauseId, number>>>> = {};
	for (const { fault, cause, n } of counts) (all[fault] ??= {})[cause] = Number(n);
	return { here: Object.fromEntries(mine.map((m) => [m.fault, m.cause])), all };
}

/** An id that follows from the import and the row, so that the same file sent twice is there once. */
const rowId = (entry: string, row: number) => uuidOf(`${entry}/${row}`);

/** Writes a whole notebook, or nothing of it. @returns how many pulls it brought */
export async function importPulls(
	entry: string,
	pulls: readonly ImportedPull[],
	actor?: Actor
): Promise<number> {
	const moulds = new Map((await listMoulds()).map((m) => [m.number, m]));
	return inTransaction(async (transaction) => {
		const now = new Date();
		let brought = 0;
		for (let i = 0; i < pulls.length; i += 200) {
			const bite = pulls.slice(i, i + 200);
			const rows = bite.map((p, k) => {
				const mould = moulds.get(p.mouldNumber);
				if (!mould) throw new RefusedError(`There is no mould M${p.mouldNumber} in the books any more.`);
				const body: PullBody = {
					batchIndex: 0,
					batchCount: 1,
					massG: p.massG || null,
					roomTempC: p.roomTempC ?? null,
					relativeHumidity: p.relativeHumidity ?? null,
					mouldTempC: null,
					conditionsRead: p.roomTempC !== undefined && p.relativeHumidity !== undefined,
					faults: p.faults,
					note: p.note,
					imported: true,
					planned: { potLifeS: 0, usableS: 0, pouredByS: 0, settledByS: 0, holdUntilS: 0, demouldS: 0 },
					real: {}
				};
				return {
					id: rowId(entry, i + k),
					pourId: null,
					mouldId: mould.id,
					masterName: mould.masterName,
					resinName: p.resin,
					copies: p.copies,
					grade: p.grade,
					combinedAt: new Date(p.atMs),
					searchText: `${mould.masterName} ${p.resin} ${mould.label} M${mould.number} ${p.note}`.slice(
						0,
						600
					),
					body,
					createdAt: now,
					updatedAt: now
				};
			});
			const known = await tables
				.pulls()
				.findAll({ where: { id: rows.map((r) => r.id) }, attributes: ['id'], transaction });
			const there = new Set(known.map((k) => plain(k).id));
			const fresh = rows.filter((r) => !there.has(r.id));
			await tables.pulls().bulkCreate(fresh, { transaction });
			for (const r of fresh) if (r.body.faults.length) await writeFaults(r.id, r.body.faults, transaction);
			brought += fresh.length;
		}
		await recount(transaction, [...new Set(pulls.flatMap((p) => moulds.get(p.mouldNumber)?.id ?? []))]);
		if (brought > 0)
			await note(actor, 'notebook-read', brought === 1 ? '1 pull' : `${brought} pulls`, transaction);
		return brought;
	});
}

interface SavedView {
	id: string;
	name: string;
	query: string;
}
const MOST_VIEWS = 40;

export async function listViews(): Promise<SavedView[]> {
	const rows = await tables.savedViews().findAll({ order: [['name', 'ASC']], limit: MOST_VIEWS });
	return rows.map((row) => {
		const { id, name, query } = plain(row);
		return { id, name, query };
	});
}

/** Keeps a view under its name; the same name again is changed. @throws RefusedError when there are too many */
export async function saveView(name: string, query: string, actor?: Actor): Promise<void> {
	if ((await tables.savedViews().count()) >= MOST_VIEWS)
		throw new RefusedError(`At most ${MOST_VIEWS} views: forget one first.`, 'name');
	await noted({ actor }, ['view-kept', name], async (transaction) => {
		const defaults = { id: randomUUID(), name, query };
		const [row, made] = await tables.savedViews().findOrCreate({ where: { name }, defaults, transaction });
		if (!made) await row.update({ query }, { transaction });
	});
}

export async function forgetView(id: string, actor?: Actor): Promise<void> {
	const row = await tables.savedViews().findByPk(id);
	if (!row) return;
	await noted({ actor }, ['view-forgotten', plain(row).name], (transaction) => row.destroy({ transaction }));
}
