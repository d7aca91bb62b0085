import { QueryTypes } from 'sequelize';
import type { Grade } from '$lib/core/bench';
import type { FAULTS } from '$lib/core/faults';
import type { Pull } from '$lib/core/ledger';
import { db } from '../db/connection';
import { RowCache } from '../db/rowCache';
import type { PullBody, PullRow } from '../db/models';
import { NotFoundError } from '../errors';

export interface LedgerFilter {
	mouldId?: string;
	grade?: Grade;
	text?: string;
	fault?: (typeof FAULTS)[number];
	resin?: string;
	/** Days, such as 2026-03-01, both included. */
	from?: string;
	to?: string;
}

/** What the ledger is sorted by; every one has an index of its own. */
export const SORTS = {
	when: 'p.combinedAt',
	piece: 'p.masterName',
	resin: 'p.resinName',
	shot: 'p.massG',
	humidity: 'p.humidity',
	grade: 'p.grade'
} as const;
export type Sort = keyof typeof SORTS;
export interface Order {
	by: Sort;
	down: boolean;
}
const NEWEST: Order = { by: 'when', down: true };

/** Further than this is not counted: "over ten thousand" says enough and costs nothing. */
export const COUNTED = 10_000;
/** A word that is found more often than this is frequent: walking along the order finds it soon. */
const FREQUENT = 2000;

type Joined = PullRow & { mouldNumber: number; mouldLabel: string; pullNumber: number };

const COLUMNS = 'p.*, m.number AS mouldNumber, m.label AS mouldLabel';
const JOINS = 'JOIN moulds m ON m.id = p.mouldId';

function toPull(row: Joined): Pull {
	const body = typeof row.body === 'string' ? (JSON.parse(row.body) as PullBody) : row.body;
	return {
		id: row.id,
		pourId: row.pourId,
		mouldId: row.mouldId,
		mouldNumber: row.mouldNumber,
		mouldLabel: row.mouldLabel,
		pullNumber: row.pullNumber,
		masterName: row.masterName,
		resinName: row.resinName,
		copies: row.copies,
		grade: row.grade,
		combinedAt: new Date(row.combinedAt),
		body
	};
}

interface Conditions {
	join: string;
	sql: string;
	replacements: Record<string, string | number>;
}

/** The words of a text that is nothing but words; one with other signs is looked for as typed. */
function wordsOf(text: string): string[] {
	return /^[\p{L}\p{N}\s]+$/u.test(text) ? text.trim().toLowerCase().split(/\s+/).slice(0, 8) : [];
}

function conditions(filter: LedgerFilter, indexed: boolean): Conditions {
	const parts: string[] = [];
	const replacements: Record<string, string | number> = {};
	const add = (sql: string, key: string, value: string | number) => {
		parts.push(sql);
		replacements[key] = value;
	};
	if (filter.mouldId) add('p.mouldId = :mouldId', 'mouldId', filter.mouldId);
	if (filter.grade) add('p.grade = :grade', 'grade', filter.grade);
	if (filter.resin) add('p.resinName = :resin', 'resin', filter.resin);
	if (filter.from) add('p.combinedAt >= :from', 'from', `${filter.from} 00:00:00.000`);
	if (filter.to) add('p.combinedAt < DATE_ADD(:to, INTERVAL 1 DAY)', 'to', filter.to);
	if (filter.text) {
		if (indexed)
			add(
				'MATCH (p.searchText) AGAINST (:words IN BOOLEAN MODE)',
				'words',
				wordsOf(filter.text)
					.map((w) => `+${w}*`)
					.join(' ')
			);
		else
			(wordsOf(filter.text).length ? wordsOf(filter.text) : [filter.text]).forEach((word, i) =>
				add(`p.searchText LIKE :text${i}`, `text${i}`, `%${word.replace(/[\\%_]/g, '\\$&')}%`)
			);
	}
	const join = filter.fault ? 'JOIN pull_faults f ON f.pullId = p.id AND f.fault = :fault' : '';
	if (filter.fault) replacements.fault = filter.fault;
	return { join, sql: parts.length ? `WHERE ${parts.join(' AND ')}` : '', replacements };
}

const select = <T extends object>(sql: string, replacements: Record<string, string | number>) =>
	db().query<T>(sql, { type: QueryTypes.SELECT, replacements });

async function countUpTo(c: Conditions, most: number): Promise<number> {
	if (!c.join && !c.sql) {
		const [all] = await select<{ n: number | null }>('SELECT SUM(pulls) AS n FROM mould_pulls', {});
		return Math.min(Number(all?.n ?? 0), most + 1);
	}
	const [row] = await select<{ n: number }>(
		`SELECT COUNT(*) AS n FROM (SELECT 1 FROM pulls p ${c.join} ${c.sql} LIMIT ${most + 1}) x`,
		c.replacements
	);
	return Number(row!.n);
}

/** Of the newest pulls, so many are looked at to know whether a word is frequent. */
const PROBED = 300;
/** Found in so many of them it is: walking along the order meets it soon. */
const FREQUENT_IN_PROBED = 6;

async function isFrequent(walked: Conditions): Promise<boolean> {
	const [row] = await select<{ n: number }>(
		`SELECT COUNT(*) AS n FROM (
			SELECT id, mouldId, grade, resinName, combinedAt, searchText FROM pulls ORDER BY combinedAt DESC LIMIT ${PROBED}
		) p ${walked.join} ${walked.sql}`,
		walked.replacements
	);
	return Number(row!.n) >= FREQUENT_IN_PROBED;
}

/** Says whether anything changed that these sums follow from: pulls, what moulds are called, confirmed causes. */
export async function ledgerStamp(): Promise<string> {
	const [row] = await select<{ stamp: string }>(
		`SELECT CONCAT_WS('/', (SELECT CONCAT(COUNT(*), ':', COALESCE(BIT_XOR(revision), 0)) FROM mould_pulls),
			(SELECT CONCAT(COUNT(*), ':', COALESCE(MAX(updatedAt), '')) FROM moulds),
			(SELECT CONCAT(COUNT(*), ':', COALESCE(MAX(updatedAt), '')) FROM pull_causes)) AS stamp`,
		{}
	);
	return row!.stamp;
}
/** How many pulls a filter finds, and which way, for as long as the ledger stands as it is. */
const counted = new RowCache<{ total: number; indexed: boolean }>(500);

/** Rare words are found by the full-text index, frequent ones on the way along the order. */
async function conditionsFor(filter: LedgerFilter): Promise<{ found: Conditions; total: number }> {
	const walked = conditions(filter, false);
	if (!walked.join && !walked.sql) return { found: walked, total: await countUpTo(walked, COUNTED) };
	const [what, stamp] = [JSON.stringify(filter), await ledgerStamp()];
	const { total, indexed } =
		counted.peek(what, stamp) ?? counted.keep(what, stamp, await countedWay(filter, walked));
	return { found: indexed ? conditions(filter, true) : walked, total };
}

async function countedWay(
	filter: LedgerFilter,
	walked: Conditions
): Promise<{ total: number; indexed: boolean }> {
	const words = wordsOf(filter.text ?? '');
	if (filter.text && words.length > 0 && words.every((w) => w.length >= 3) && !(await isFrequent(walked))) {
		const total = await countUpTo(conditions(filter, true), COUNTED);
		return { total, indexed: total <= FREQUENT };
	}
	return { total: await countUpTo(walked, COUNTED), indexed: false };
}

/** A page of the ledger, and how many pulls the filter finds; past `COUNTED` it says one more than that. */
export async function listPulls(
	filter: LedgerFilter,
	page: { offset: number; limit: number },
	order: Order = NEWEST
): Promise<{ pulls: Pull[]; total: number }> {
	const { found, total } = await conditionsFor(filter);
	const way = order.down ? 'DESC' : 'ASC';
	const by =
		order.by === 'when'
			? `p.combinedAt ${way}, p.id ${way}`
			: `${SORTS[order.by]} ${way}, p.combinedAt DESC, p.id DESC`;
	// ids first, by the index alone; whole rows only for the page
	const rows = await select<Joined>(
		`SELECT ${COLUMNS} FROM (
			SELECT p.id FROM pulls p ${found.join} ${found.sql} ORDER BY ${by} LIMIT :limit OFFSET :offset
		) x JOIN pulls p ON p.id = x.id ${JOINS} ORDER BY ${by}`,
		{ ...found.replacements, ...page }
	);
	return { pulls: rows.map(toPull), total };
}

/** Every pull that a filter finds, in bites, for files that are written while they are sent. */
export async function* everyPull(filter: LedgerFilter, bite = 1000): AsyncGenerator<Pull[]> {
	const { found } = await conditionsFor(filter);
	let last: { at: string; id: string } | undefined;
	for (;;) {
		const after = last
			? `${found.sql ? `${found.sql} AND` : 'WHERE'} (p.combinedAt < :lastAt OR (p.combinedAt = :lastAt AND p.id < :lastId))`
			: found.sql;
		const rows = await select<Joined>(
			`SELECT ${COLUMNS} FROM (
				SELECT p.id FROM pulls p ${found.join} ${after} ORDER BY p.combinedAt DESC, p.id DESC LIMIT :bite
			) x JOIN pulls p ON p.id = x.id ${JOINS} ORDER BY p.combinedAt DESC, p.id DESC`,
			{ ...found.replacements, bite, ...(last ? { lastAt: last.at, lastId: last.id } : {}) }
		);
		if (rows.length === 0) return;
		const pulls = rows.map(toPull);
		yield pulls;
		const end = pulls.at(-1)!;
		last = { at: end.combinedAt.toISOString().replace('T', ' ').replace('Z', ''), id: end.id };
	}
}

/** The newest pulls of all, nothing counted. */
export async function lastPulls(limit: number): Promise<Pull[]> {
	const rows = await select<Joined>(
		`SELECT ${COLUMNS} FROM (SELECT id FROM pulls ORDER BY combinedAt DESC, id DESC LIMIT :limit) x
		JOIN pulls p ON p.id = x.id ${JOINS}
		ORDER BY p.combinedAt DESC, p.id DESC`,
		{ limit }
	);
	return rows.map(toPull);
}

export async function getPull(id: string): Promise<Pull> {
	const rows = await select<Joined>(`SELECT ${COLUMNS} FROM pulls p ${JOINS} WHERE p.id = :id`, { id });
	if (!rows[0]) throw new NotFoundError('pull');
	return toPull(rows[0]);
}

/** How often a mould was pulled in each resin, by the resin's name. */
export async function pullsByResin(mouldId: string): Promise<Map<string, number>> {
	const rows = await select<{ resinName: string; n: number }>(
		'SELECT resinName, COUNT(*) AS n FROM pulls WHERE mouldId = :mouldId GROUP BY resinName',
		{ mouldId }
	);
	return new Map(rows.map((r) => [r.resinName, Number(r.n)]));
}

/** Resins that stand in the ledger, for its filter. */
export async function resinsInLedger(): Promise<string[]> {
	const rows = await select<{ resinName: string }>(
		'SELECT DISTINCT resinName FROM pulls ORDER BY resinName LIMIT 200',
		{}
	);
	return rows.map((r) => r.resinName);
}
