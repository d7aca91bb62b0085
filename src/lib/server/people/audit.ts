import { QueryTypes, type Transaction } from 'sequelize';
import type { Deed } from '$lib/core/people';
import { db } from '../db/connection';

/** Whoever did something: a person, or nobody in particular where nobody signs in. */
export type Actor = { id: string; name: string } | null;

/** Notes who changed what and when; never a passphrase, a code or a token. Nothing where no one acts, as for demo data. */
export async function note(
	actor: Actor | undefined,
	what: Deed,
	about: string,
	transaction?: Transaction
): Promise<void> {
	if (actor === undefined) return;
	await db().query('INSERT INTO audit (at, personId, who, what, about) VALUES (?, ?, ?, ?, ?)', {
		replacements: [new Date(), actor?.id ?? null, actor?.name ?? '', what, about.slice(0, 300)],
		type: QueryTypes.INSERT,
		...(transaction ? { transaction } : {})
	});
}

/** The newest deeds. */
export const listDeeds = (limit = 100): Promise<{ at: Date; who: string; what: Deed; about: string }[]> =>
	db().query('SELECT at, who, what, about FROM audit ORDER BY id DESC LIMIT :limit', {
		type: QueryTypes.SELECT,
		replacements: { limit }
	});
