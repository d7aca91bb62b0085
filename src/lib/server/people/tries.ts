import { createHash } from 'node:crypto';
import { QueryTypes } from 'sequelize';
import { FORGOTTEN_MS, waitAfterMs } from '$lib/core/people';
import { db } from '../db/connection';
import { RefusedError } from '../errors';

/** Under which name failures are counted: the person that was tried for, and where it was tried from. */
export const triers = (name: string, address: string): string[] => [
	`person ${name.trim().toLowerCase()}`,
	`address ${address}`
];
const keyOf = (trier: string) => createHash('sha256').update(trier).digest('hex');

/** @throws RefusedError while it is too soon after a failure, for the person or for the address */
export async function refuseHasty(all: readonly string[], now = Date.now()): Promise<void> {
	const rows = await db().query<{ failures: number; lastAt: Date }>(
		'SELECT failures, lastAt FROM failed_tries WHERE who IN (:who)',
		{ type: QueryTypes.SELECT, replacements: { who: all.map(keyOf) } }
	);
	const waitMs = Math.max(
		0,
		...rows
			.filter((r) => now - new Date(r.lastAt).getTime() < FORGOTTEN_MS)
			.map((r) => new Date(r.lastAt).getTime() + waitAfterMs(r.failures) - now)
	);
	if (waitMs > 0)
		throw new RefusedError(
			`Too many wrong tries: wait ${waitMs < 60_000 ? `${Math.ceil(waitMs / 1000)} s` : `${Math.ceil(waitMs / 60_000)} min`} and try again.`,
			'passphrase',
			429
		);
}

/** One more failure; what is an hour old counts no more. */
export async function noteFailure(all: readonly string[], now = new Date()): Promise<void> {
	for (const trier of all)
		await db().query(
			`INSERT INTO failed_tries (who, failures, lastAt) VALUES (:who, 1, :now)
			ON DUPLICATE KEY UPDATE failures = IF(lastAt < :old, 1, failures + 1), lastAt = :now`,
			{
				type: QueryTypes.INSERT,
				replacements: { who: keyOf(trier), now, old: new Date(now.getTime() - FORGOTTEN_MS) }
			}
		);
}

/** Whoever got in has slipped no more. */
export async function forgetFailures(all: readonly string[]): Promise<void> {
	await db().query('DELETE FROM failed_tries WHERE who IN (:who)', {
		type: QueryTypes.DELETE,
		replacements: { who: all.map(keyOf) }
	});
}
