import { QueryTypes } from 'sequelize';
import type { Grade } from '$lib/core/pour';
import { db } from '../db/connection';
import type { PullBody, PullRow } from '../db/models';
import { NotFoundError } from '../errors';

export interface Pull {
	id: string;
	pourId: string;
	mouldId: string;
	mouldNumber: number;
	mouldLabel: string;
	/** Which pull of its mould this was: 1 is the first. */
	pullNumber: number;
	masterName: string;
	resinName: string;
	copies: number;
	grade: Grade;
	combinedAt: Date;
	body: PullBody;
}

export interface LedgerFilter {
	mouldId?: string;
	grade?: Grade;
	text?: string;
}

type Joined = PullRow & { mouldNumber: number; mouldLabel: string; pullNumber: number };

// counting earlier pulls of a page of rows is cheap: (mouldId, combinedAt) is an index
const SELECT = `
	SELECT p.*, m.number AS mouldNumber, m.label AS mouldLabel,
		(SELECT COUNT(*) FROM pulls q WHERE q.mouldId = p.mouldId
			AND (q.combinedAt < p.combinedAt OR (q.combinedAt = p.combinedAt AND q.id <= p.id))) AS pullNumber
	FROM pulls p JOIN moulds m ON m.id = p.mouldId`;

function toPull(row: Joined): Pull {
	const body = typeof row.body === 'string' ? (JSON.parse(row.body) as PullBody) : row.body;
	return {
		id: row.id,
		pourId: row.pourId,
		mouldId: row.mouldId,
		mouldNumber: row.mouldNumber,
		mouldLabel: row.mouldLabel,
		pullNumber: Number(row.pullNumber),
		masterName: row.masterName,
		resinName: row.resinName,
		copies: row.copies,
		grade: row.grade,
		combinedAt: new Date(row.combinedAt),
		body
	};
}

function conditions(filter: LedgerFilter): { sql: string; replacements: Record<string, string> } {
	const parts: string[] = [];
	const replacements: Record<string, string> = {};
	if (filter.mouldId) {
		parts.push('p.mouldId = :mouldId');
		replacements.mouldId = filter.mouldId;
	}
	if (filter.grade) {
		parts.push('p.grade = :grade');
		replacements.grade = filter.grade;
	}
	if (filter.text) {
		parts.push('(p.masterName LIKE :text OR p.resinName LIKE :text OR m.label LIKE :text)');
		replacements.text = `%${filter.text.replace(/[\\%_]/g, '\\$&')}%`;
	}
	return { sql: parts.length ? `WHERE ${parts.join(' AND ')}` : '', replacements };
}

/** A page of the ledger, newest first, and how many pulls the filter finds in all. */
export async function listPulls(
	filter: LedgerFilter,
	page: { offset: number; limit: number }
): Promise<{ pulls: Pull[]; total: number }> {
	const { sql, replacements } = conditions(filter);
	const [rows, [count]] = await Promise.all([
		db().query<Joined>(`${SELECT} ${sql} ORDER BY p.combinedAt DESC, p.id DESC LIMIT :limit OFFSET :offset`, {
			type: QueryTypes.SELECT,
			replacements: { ...replacements, ...page }
		}),
		db().query<{ total: number }>(
			`SELECT COUNT(*) AS total FROM pulls p JOIN moulds m ON m.id = p.mouldId ${sql}`,
			{ type: QueryTypes.SELECT, replacements }
		)
	]);
	return { pulls: rows.map(toPull), total: Number(count!.total) };
}

export async function getPull(id: string): Promise<Pull> {
	const rows = await db().query<Joined>(`${SELECT} WHERE p.id = :id`, {
		type: QueryTypes.SELECT,
		replacements: { id }
	});
	if (!rows[0]) throw new NotFoundError('pull');
	return toPull(rows[0]);
}
