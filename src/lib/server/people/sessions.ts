import { createHash, randomBytes, randomUUID } from 'node:crypto';
import { QueryTypes } from 'sequelize';
import type { Right } from '$lib/core/people';
import { db } from '../db/connection';

/** Somebody who is signed in, and by which session. */
export interface Person {
	id: string;
	name: string;
	mark: string;
	right: Right;
	sessionId: string;
	/** The name of the session's device. */
	device: string;
}

/** A session ends so long after it was used last, unless its device was paired, and so long after it began in any case, ms. */
const IDLE_MS = 14 * 86_400_000;
const LONGEST_MS = 120 * 86_400_000;
/** Its last use is noted no more often than this, ms. */
const NOTED_EVERY_MS = 60_000;

const hashOf = (token: string) => createHash('sha256').update(token).digest('hex');

/** A new session; its token goes to the browser, and only its hash is kept. */
export async function makeSession(
	personId: string,
	device: string,
	address: string,
	{ paired = false } = {}
): Promise<{ token: string; expiresAt: Date }> {
	const token = randomBytes(32).toString('base64url');
	const now = Date.now();
	const expiresAt = new Date(now + LONGEST_MS);
	await db().query(
		`INSERT INTO sessions (id, tokenHash, personId, device, address, createdAt, lastUsedAt, expiresAt, paired)
		VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?)`,
		{
			replacements: [
				randomUUID(),
				hashOf(token),
				personId,
				device.slice(0, 120),
				address.slice(0, 60),
				new Date(now),
				new Date(now),
				expiresAt,
				Number(paired)
			],
			type: QueryTypes.INSERT
		}
	);
	return { token, expiresAt };
}

/** Whose session a token is; nothing where it ended, was left too long, or its person has left. */
export async function personOf(token: string, now = Date.now()): Promise<Person | undefined> {
	const [row] = await db().query<Person & { lastUsedAt: Date }>(
		`SELECT p.id, p.name, p.mark, p.rights AS \`right\`, s.id AS sessionId, s.device, s.lastUsedAt
		FROM sessions s JOIN people p ON p.id = s.personId
		WHERE s.tokenHash = ? AND s.endedAt IS NULL AND s.expiresAt > ? AND (s.paired = 1 OR s.lastUsedAt > ?)
			AND p.leftAt IS NULL`,
		{ replacements: [hashOf(token), new Date(now), new Date(now - IDLE_MS)], type: QueryTypes.SELECT }
	);
	if (!row) return undefined;
	const { lastUsedAt, ...person } = row;
	if (now - new Date(lastUsedAt).getTime() > NOTED_EVERY_MS)
		await db().query('UPDATE sessions SET lastUsedAt = ? WHERE id = ?', {
			replacements: [new Date(now), person.sessionId],
			type: QueryTypes.UPDATE
		});
	return person;
}

/** What a device noted before its session ended may still arrive for so long, ms. */
const LATE_MS = 86_400_000;

/** Whose session a token was, where it ended not long ago; nothing otherwise. */
export async function endedOf(
	token: string,
	now = Date.now()
): Promise<{ id: string; name: string; device: string; endedAtMs: number } | undefined> {
	const [row] = await db().query<{ id: string; name: string; device: string; endedAt: Date }>(
		`SELECT p.id, p.name, s.device, s.endedAt FROM sessions s JOIN people p ON p.id = s.personId
		WHERE s.tokenHash = ? AND s.endedAt > ?`,
		{ replacements: [hashOf(token), new Date(now - LATE_MS)], type: QueryTypes.SELECT }
	);
	return (
		row && { id: row.id, name: row.name, device: row.device, endedAtMs: new Date(row.endedAt).getTime() }
	);
}

export interface SessionShown {
	id: string;
	personId: string;
	device: string;
	address: string;
	createdAt: Date;
	lastUsedAt: Date;
}

/** Sessions that still let somebody in, the one used last in front. */
export const listSessions = (now = Date.now()): Promise<SessionShown[]> =>
	db().query<SessionShown>(
		`SELECT id, personId, device, address, createdAt, lastUsedAt FROM sessions
		WHERE endedAt IS NULL AND expiresAt > ? AND (paired = 1 OR lastUsedAt > ?) ORDER BY lastUsedAt DESC LIMIT 200`,
		{ replacements: [new Date(now), new Date(now - IDLE_MS)], type: QueryTypes.SELECT }
	);

/** Ends one session. @returns whether it was open */
export async function endSession(id: string): Promise<boolean> {
	const [, changed] = (await db().query('UPDATE sessions SET endedAt = ? WHERE id = ? AND endedAt IS NULL', {
		replacements: [new Date(), id],
		type: QueryTypes.UPDATE
	})) as unknown as [unknown, number];
	return changed > 0;
}

/** Ends all of a person's sessions but one. */
export async function endSessionsOf(personId: string, but = ''): Promise<void> {
	await db().query('UPDATE sessions SET endedAt = ? WHERE personId = ? AND id <> ? AND endedAt IS NULL', {
		replacements: [new Date(), personId, but],
		type: QueryTypes.UPDATE
	});
}

/** What kind of device it is by what its browser says of itself. */
export function deviceWords(userAgent: string): string {
	if (/iPad|Tablet|Android(?!.*Mobile)/.test(userAgent)) return 'a tablet';
	return /Mobi/.test(userAgent) ? 'a telephone' : 'a computer';
}
