import { createHash, randomInt } from 'node:crypto';
import { QueryTypes, type Transaction } from 'sequelize';
import { CODE_LENGTH, CODE_LETTERS, codeTyped } from '$lib/core/people';
import { db } from '../db/connection';

/** What a code is good for, and how long, ms: the first person, a new passphrase, a tablet at the bench. */
const GOOD_FOR_MS = { first: 24 * 3_600_000, reset: 24 * 3_600_000, pair: 5 * 60_000 } as const;
type CodeKind = keyof typeof GOOD_FOR_MS;

const hashOf = (code: string) => createHash('sha256').update(codeTyped(code)).digest('hex');

/** A new code; only its hash is kept. */
export async function makeCode(kind: CodeKind, personId: string | null = null): Promise<string> {
	const code = Array.from({ length: CODE_LENGTH }, () => CODE_LETTERS[randomInt(CODE_LETTERS.length)]).join(
		''
	);
	const now = new Date();
	await db().query(
		'INSERT INTO access_codes (hash, kind, personId, createdAt, expiresAt) VALUES (?, ?, ?, ?, ?)',
		{
			replacements: [hashOf(code), kind, personId, now, new Date(now.getTime() + GOOD_FOR_MS[kind])],
			type: QueryTypes.INSERT
		}
	);
	return code;
}

/** Uses a code up, once, whoever comes first. @returns whom it is for; nothing where it is none, used, or too old */
export async function useCode(
	kind: CodeKind,
	code: string,
	transaction: Transaction
): Promise<{ personId: string | null } | undefined> {
	const [row] = await db().query<{ personId: string | null }>(
		'SELECT personId FROM access_codes WHERE hash = ? AND kind = ? AND usedAt IS NULL AND expiresAt > ? FOR UPDATE',
		{ replacements: [hashOf(code), kind, new Date()], type: QueryTypes.SELECT, transaction }
	);
	if (!row) return undefined;
	await db().query('UPDATE access_codes SET usedAt = ? WHERE hash = ?', {
		replacements: [new Date(), hashOf(code)],
		type: QueryTypes.UPDATE,
		transaction
	});
	return row;
}
