import { QueryTypes } from 'sequelize';
import { associate, type Association, type CauseId, type Fault } from '$lib/core/faults';
import type { Grade } from '$lib/core/bench';
import { wilson } from '$lib/core/wear';
import { db } from '../db/connection';
import { RowCache } from '../db/rowCache';
import { ledgerStamp } from './ledger';

export interface Yield {
	group: string;
	all: number;
	good: number;
	mended: number;
	scrap: number;
	/** 90 % interval of the share that came out good. */
	low: number;
	high: number;
}

/** What a yield can be looked at by; nobody is ranked. */
export const GROUPINGS = {
	mould: { words: 'mould', sql: "CONCAT('M', m.number, ' ', m.label)" },
	resin: { words: 'resin', sql: 'p.resinName' },
	lot: { words: 'lot', sql: "COALESCE(JSON_VALUE(p.body, '$.lots[0]'), 'not noted')" },
	season: {
		words: 'season',
		// by their months: what is winter to one is summer to another
		sql: "ELT(1 + FLOOR(MOD(MONTH(p.combinedAt), 12) / 3), 'December to February', 'March to May', 'June to August', 'September to November')"
	},
	humidity: {
		words: 'humidity',
		sql: "CASE WHEN p.humidity IS NULL THEN 'not noted' WHEN p.humidity < 40 THEN 'under 40 %' WHEN p.humidity < 50 THEN '40 to 50 %' ELSE 'from 50 %' END"
	},
	piece: { words: 'piece', sql: 'p.masterName' }
} as const;
export type Grouping = keyof typeof GROUPINGS;

const select = <T extends object>(sql: string, replacements: Record<string, unknown> = {}) =>
	db().query<T>(sql, { type: QueryTypes.SELECT, replacements });

/** Sums over the whole ledger by that stamp: a hundred thousand pulls are added up once, not for every page. */
const summed = new RowCache<object>(100);

async function sumUp<T extends object>(what: string, make: () => Promise<T>): Promise<T> {
	const stamp = await ledgerStamp();
	return (summed.peek(what, stamp) ?? summed.keep(what, stamp, await make())) as T;
}

export const yieldsBy = (by: Grouping) => sumUp(`yields by ${by}`, () => addUpYields(by));
export const yieldByMonth = () => sumUp('months', addUpMonths);
export const faultsByCause = () => sumUp('faults by cause', addUpCauses);
/** Across the ledger: how often a fault (or any scrap, when it is empty) came with and without each circumstance. */
export const whatChanges = (fault: string) => sumUp(`changes ${fault}`, () => addUpChanges(fault));

async function addUpYields(by: Grouping): Promise<Yield[]> {
	const rows = await select<{ grp: string; n: number; good: number; mended: number; scrap: number }>(
		`SELECT ${GROUPINGS[by].sql} AS grp, COUNT(*) AS n, SUM(p.grade = 'good') AS good,
			SUM(p.grade = 'needs-work') AS mended, SUM(p.grade = 'scrap') AS scrap
		FROM pulls p JOIN moulds m ON m.id = p.mouldId GROUP BY grp ORDER BY n DESC LIMIT 60`
	);
	return rows.map((r) => {
		const [all, good] = [Number(r.n), Number(r.good)];
		return {
			group: r.grp,
			all,
			good,
			mended: Number(r.mended),
			scrap: Number(r.scrap),
			...wilson(good, all)
		};
	});
}

/** Pulls of every month by grade. */
async function addUpMonths(): Promise<{ month: string; counts: Record<Grade, number> }[]> {
	const rows = await select<{ month: string; grade: Grade; n: number }>(
		"SELECT DATE_FORMAT(combinedAt, '%Y-%m') AS month, grade, COUNT(*) AS n FROM pulls GROUP BY month, grade ORDER BY month"
	);
	const months = new Map<string, Record<Grade, number>>();
	for (const { month, grade, n } of rows) {
		const counts = months.get(month) ?? { good: 0, 'needs-work': 0, scrap: 0 };
		counts[grade] = Number(n);
		months.set(month, counts);
	}
	return [...months].map(([month, counts]) => ({ month, counts }));
}

/** How often every fault was seen, and of what confirmed cause. */
async function addUpCauses(): Promise<{ fault: Fault; cause: CauseId | null; n: number }[]> {
	const rows = await select<{ fault: Fault; cause: CauseId | null; n: number }>(
		`SELECT f.fault, c.cause, COUNT(*) AS n FROM pull_faults f
		LEFT JOIN pull_causes c ON c.pullId = f.pullId AND c.fault = f.fault
		GROUP BY f.fault, c.cause ORDER BY n DESC`
	);
	return rows.map((r) => ({ fault: r.fault, cause: r.cause, n: Number(r.n) }));
}

/** Circumstances that the whole ledger is asked for; null where a pull says nothing of it. */
const CIRCUMSTANCES: readonly { name: string; sql: string }[] = [
	{ name: 'humidity from 50 %', sql: 'p.humidity >= 50' },
	{ name: 'mould under 20 °C', sql: "JSON_VALUE(p.body, '$.mouldTempC') < 20" },
	{ name: 'room from 25 °C', sql: "JSON_VALUE(p.body, '$.roomTempC') >= 25" },
	{
		name: 'cured under pressure',
		// a notebook has no column for it
		sql: "IF(JSON_VALUE(p.body, '$.imported') IS NULL, JSON_VALUE(p.body, '$.pot.name') IS NOT NULL, NULL)"
	},
	{
		name: 'poured past the planned minute',
		sql: "JSON_VALUE(p.body, '$.real.pouredByS') > JSON_VALUE(p.body, '$.planned.pouredByS') * 1.1"
	},
	{
		name: 'out of the mould before its time',
		sql: "JSON_VALUE(p.body, '$.real.demouldS') < JSON_VALUE(p.body, '$.planned.pouredByS') + JSON_VALUE(p.body, '$.planned.demouldS')"
	},
	{ name: 'December to February', sql: 'MONTH(p.combinedAt) IN (12, 1, 2)' },
	{ name: 'June to August', sql: 'MONTH(p.combinedAt) IN (6, 7, 8)' },
	{ name: 'hot face, from 70 °C', sql: "JSON_VALUE(p.body, '$.peakFaceC') >= 70" }
];

export interface Circumstance extends Association {
	name: string;
	/** Pulls that say nothing of it: they count on neither side. */
	unknown: number;
}

async function addUpChanges(fault: string): Promise<Circumstance[]> {
	const resins = await select<{ resinName: string }>(
		'SELECT resinName FROM pulls GROUP BY resinName ORDER BY COUNT(*) DESC LIMIT 6'
	);
	const asked = [
		...CIRCUMSTANCES,
		...resins.map((_, i) => ({ name: resins[i]!.resinName, sql: `p.resinName = :resin${i}` }))
	];
	const hit = fault ? 'f.fault IS NOT NULL' : "p.grade = 'scrap'";
	const sums = asked
		.map(
			({ sql }, i) =>
				`SUM(${sql}) AS w${i}, SUM(${sql} AND ${hit}) AS h${i}, SUM(NOT (${sql})) AS o${i}, SUM(NOT (${sql}) AND ${hit}) AS g${i}`
		)
		.join(', ');
	const [row] = await select<Record<string, number>>(
		`SELECT COUNT(*) AS n, ${sums} FROM pulls p
		LEFT JOIN pull_faults f ON f.pullId = p.id AND f.fault = :fault`,
		{ fault, ...Object.fromEntries(resins.map((r, i) => [`resin${i}`, r.resinName])) }
	);
	const of = (key: string) => Number(row?.[key] ?? 0);
	return asked
		.map((c, i) => ({
			name: c.name,
			unknown: of('n') - of(`w${i}`) - of(`o${i}`),
			...associate({
				withHits: of(`h${i}`),
				withAll: of(`w${i}`),
				withoutHits: of(`g${i}`),
				withoutAll: of(`o${i}`)
			})
		}))
		.filter((c) => c.withAll > 0 && c.withoutAll > 0)
		.sort((a, b) => a.p - b.p);
}
