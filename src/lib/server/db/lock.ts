import { randomUUID } from 'node:crypto';
import { hostname } from 'node:os';
import { QueryTypes, type Transaction } from 'sequelize';
import { db } from './connection';

/** Somebody who was killed while he held a lock gives it up by this, s; it is renewed three times as often. */
const LEASE_S = 30;
const ASK_EVERY_MS = 200;

/**
 * Locks are rows, since a cluster knows no others: who writes one first has it, through whichever node. `holder` and
 * `until` for what one process alone does; `times` for rows that are held until a transaction ends.
 */
export const makeLocks = () =>
	db().query(
		`CREATE TABLE IF NOT EXISTS locks (name VARCHAR(120) PRIMARY KEY, holder VARCHAR(120) NULL, until DATETIME(3) NULL,
		times BIGINT NOT NULL DEFAULT 0)`
	);

/** Takes a lock, renews it, or finds it taken. @returns who has it now */
async function take(name: string, holder: string): Promise<string> {
	// assignments are made from left to right: the second one sees the holder that the first one left
	await db().query(
		`INSERT INTO locks (name, holder, until) VALUES (:name, :holder, NOW(3) + INTERVAL ${LEASE_S} SECOND)
		ON DUPLICATE KEY UPDATE
			holder = IF(holder IS NULL OR until < NOW(3), VALUES(holder), holder),
			until = IF(holder = VALUES(holder), VALUES(until), until)`,
		{ replacements: { name, holder } }
	);
	const [row] = await db().query<{ holder: string | null }>('SELECT holder FROM locks WHERE name = ?', {
		type: QueryTypes.SELECT,
		replacements: [name]
	});
	return row?.holder ?? '';
}

const give = (name: string, holder: string) =>
	db().query('UPDATE locks SET holder = NULL, until = NULL WHERE name = ? AND holder = ?', {
		replacements: [name, holder]
	});

/** Whether whoever holds it was a process of this machine that is gone. */
function isGone(holder: string): boolean {
	const [pid, host] = holder.split(' ');
	if (host !== hostname()) return false;
	try {
		process.kill(Number(pid), 0);
		return false;
	} catch (error) {
		return (error as { code?: string }).code === 'ESRCH';
	}
}

/**
 * Does work that one process alone may do at a time, also through several nodes of a cluster; the others wait, and then
 * find it done.
 * @param waitS so long another may take, s
 * @throws Error when it takes longer
 */
export async function alone(name: string, waitS: number, work: () => Promise<void>): Promise<void> {
	await makeLocks();
	const mine = `${process.pid} ${hostname().slice(0, 60)} ${randomUUID()}`;
	const endMs = Date.now() + waitS * 1000;
	for (;;) {
		const holder = await take(name, mine);
		if (holder === mine) break;
		if (isGone(holder)) await give(name, holder);
		else if (Date.now() > endMs) throw new Error(`${name}: another process has held this for too long`);
		else await new Promise((resolve) => setTimeout(resolve, ASK_EVERY_MS));
	}
	const renewed = setInterval(() => void take(name, mine).catch(() => undefined), (LEASE_S * 1000) / 3);
	try {
		await work();
	} finally {
		clearInterval(renewed);
		await give(name, mine);
	}
}

/**
 * Holds names until the transaction ends: another that wants one of them waits, or, through another node of a cluster, is
 * begun again. Before anything else is read, since what is read first is what the transaction sees from then on.
 */
export async function hold(names: readonly string[], transaction: Transaction): Promise<void> {
	for (const name of [...new Set(names)].sort())
		await db().query(
			'INSERT INTO locks (name, times) VALUES (?, 1) ON DUPLICATE KEY UPDATE times = times + 1',
			{ replacements: [name], transaction }
		);
}
