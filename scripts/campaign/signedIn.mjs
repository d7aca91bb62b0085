// The campaign as somebody who is signed in: sessions of one keeper, taken in turn, since each has a rate of its own.
import { createHash, randomBytes, randomUUID } from 'node:crypto';
import { onDatabase } from '../lib/databaseUrl.mjs';

const SESSIONS = 24;
const LONG_MS = 86_400_000;
let cookies = [];
let next = 0;
let databaseUrl = () => '';

/** Makes a keeper and their sessions, straight in the database: signing in itself is slowed on purpose. */
export async function signInFor(urlOfDatabase) {
	databaseUrl = urlOfDatabase;
	const now = new Date();
	await onDatabase(databaseUrl(), async (connection) => {
		const personId = randomUUID();
		await connection.query(
			"INSERT INTO people (id, name, mark, rights, createdAt, updatedAt) VALUES (?, 'Campaign', 'CA', 'keeper', ?, ?)",
			[personId, now, now]
		);
		cookies = await sessionsOf(connection, personId);
	});
}

async function sessionsOf(connection, personId) {
	const now = new Date();
	const made = [];
	for (let i = 0; i < SESSIONS; i++) {
		const token = randomBytes(32).toString('base64url');
		await connection.query(
			`INSERT INTO sessions (id, tokenHash, personId, device, address, createdAt, lastUsedAt, expiresAt, paired)
			VALUES (?, ?, ?, 'campaign', '', ?, ?, ?, 0)`,
			[
				randomUUID(),
				createHash('sha256').update(token).digest('hex'),
				personId,
				now,
				now,
				new Date(now.getTime() + LONG_MS)
			]
		);
		made.push(token);
	}
	return made;
}

/** Nobody is signed in any more. */
export const signOut = () => (cookies = []);

/** The token of a session that is still good; nothing where nobody signs in. */
export const sessionToken = () => cookies[next++ % Math.max(1, cookies.length)];

/** Forms that are tried with anything end sessions too: new ones, of the same keeper. */
async function renew() {
	await onDatabase(databaseUrl(), async (connection) => {
		const [person] = await connection.query(
			"SELECT id FROM people WHERE name = 'Campaign' AND leftAt IS NULL"
		);
		if (person) cookies = await sessionsOf(connection, person.id);
	}).catch(() => {});
}

/** `fetch`, as whoever is signed in. */
export async function ask(url, init = {}) {
	const token = sessionToken();
	if (!token) return fetch(url, init);
	const as = (t) => fetch(url, { ...init, headers: { ...init.headers, cookie: `session=${t}` } });
	const answer = await as(token);
	// a body that is a stream is gone by now
	if (answer.status !== 401 || init.duplex) return answer;
	await renew();
	return as(sessionToken());
}
