import { randomUUID } from 'node:crypto';
import { hostname } from 'node:os';
import { QueryTypes } from 'sequelize';
import { afterAll, describe, expect, it } from 'vitest';
import { closeDb, db, inTransaction } from '$lib/server/db/connection';
import { alone, hold } from '$lib/server/db/lock';

afterAll(closeDb);
const name = () => `test ${randomUUID()}`;
const holderOf = async (lock: string) =>
	(
		await db().query<{ holder: string | null }>('SELECT holder FROM locks WHERE name = ?', {
			type: QueryTypes.SELECT,
			replacements: [lock]
		})
	)[0]?.holder;
const heldBy = (lock: string, holder: string, seconds: number) =>
	db().query('INSERT INTO locks (name, holder, until) VALUES (?, ?, NOW(3) + INTERVAL ? SECOND)', {
		replacements: [lock, holder, seconds]
	});

describe('work that one process alone may do', () => {
	it('is done by one after the other, and let go of when it fails', async () => {
		const lock = name();
		let inside = 0;
		let most = 0;
		const work = (fails: boolean) =>
			alone(lock, 60, async () => {
				most = Math.max(most, ++inside);
				await new Promise((resolve) => setTimeout(resolve, 30));
				inside--;
				if (fails) throw new Error('as it happens');
			});
		const ended = await Promise.allSettled([false, true, false, true].map(work));
		expect(most).toBe(1);
		expect(ended.map((e) => e.status)).toEqual(['fulfilled', 'rejected', 'fulfilled', 'rejected']);
		expect(await holderOf(lock)).toBeNull();
	});
	it('is taken over from whoever was killed: at once on this machine, by its time elsewhere', async () => {
		const [here, elsewhere, alive] = [name(), name(), name()];
		// no process has this number (the kernel's most is 4 194 304, proc(5))
		await heldBy(here, `4194305 ${hostname()} x`, 600);
		await heldBy(elsewhere, '1 elsewhere x', -1);
		await heldBy(alive, '1 elsewhere x', 600);
		const done: string[] = [];
		await alone(here, 1, async () => void done.push('here'));
		await alone(elsewhere, 1, async () => void done.push('elsewhere'));
		await expect(alone(alive, 0.5, async () => void done.push('alive'))).rejects.toThrow(
			/held this for too long/
		);
		expect(done).toEqual(['here', 'elsewhere']);
	});
	it('a name that is held in a transaction is waited for, whatever the order in which names are given', async () => {
		const [a, b] = [name(), name()];
		let value = 0;
		const add = (names: string[]) =>
			inTransaction(async (transaction) => {
				await hold(names, transaction);
				const before = value;
				await new Promise((resolve) => setTimeout(resolve, 10));
				value = before + 1;
			});
		await Promise.all(Array.from({ length: 10 }, (_, i) => add(i % 2 ? [a, b] : [b, a])));
		expect(value).toBe(10);
	});
});
