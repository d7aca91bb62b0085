import { spawn, type ChildProcess } from 'node:child_process';
import { existsSync, mkdtempSync, readdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createConnection } from 'mariadb';
import { afterAll, describe, expect, it } from 'vitest';
import { listBackups } from '../../scripts/lib/backup.mjs';
import { bringBack, keepBeforeMigration } from '../../scripts/lib/dump.mjs';
import { freePort, isFree } from '../../scripts/lib/ports.mjs';
import { alive, run, until } from '../../scripts/lib/run.mjs';
import { base } from './http';
import { startDatabase } from '../../scripts/lib/mariadb.mjs';

/** The commands as the README names them, in a folder of their own. */
const state = mkdtempSync(join(tmpdir(), 'anthypos-own-'));
const book = join(state, 'workshop.json');
const begun: ChildProcess[] = [];
const START_MS = 90_000;

afterAll(async () => {
	for (const child of begun) child.kill('SIGTERM');
	await until(() => begun.every((c) => c.exitCode !== null || c.signalCode !== null), { withinMs: 40_000 });
	for (const name of ['workshop', 'demo'])
		if (existsSync(join(state, name))) await (await startDatabase(join(state, name))).stop();
	rmSync(state, { recursive: true, force: true });
}, 120_000);

function npmRun(name: string, port: number, more: NodeJS.ProcessEnv = {}): ChildProcess {
	const child = spawn('npm', ['run', name], {
		env: { ...process.env, ANTHYPOS_STATE: state, PORT: String(port), HOST: '127.0.0.1', ...more },
		stdio: 'ignore'
	});
	begun.push(child);
	return child;
}
const up = (port: number) =>
	until(
		async () => {
			try {
				return (await fetch(`http://127.0.0.1:${port}/api/clocks`)).ok;
			} catch {
				return false;
			}
		},
		{ withinMs: START_MS }
	);
const databasePid = (name: string) =>
	(JSON.parse(readFileSync(join(state, name, 'run.json'), 'utf8')) as { pid: number }).pid;
const restore = (file: string) =>
	run('npm', ['run', '--silent', 'restore', '--', file], { show: false, env: { ANTHYPOS_STATE: state } });

describe('a workshop of one’s own', () => {
	it('takes a book back, once; a file that is none is refused in a sentence', async () => {
		// the JSON alone names a 3D file that it does not hold
		writeFileSync(book, await (await fetch(`${base}/workshop/book.json`)).text());
		const missing = await restore(join(state, 'nothing.zip'));
		expect(missing).toMatchObject({ code: 1, output: expect.stringMatching(/there is no such file/) });
		const wrong = await restore(new URL('../../package.json', import.meta.url).pathname);
		expect(wrong).toMatchObject({ code: 1, output: expect.stringMatching(/Nothing was read/) });
		const good = await restore(book);
		expect(good).toMatchObject({
			code: 0,
			output: expect.stringMatching(
				/The whole book is in: \d+ rows.*Without its \d+ pictures and \d+ 3D files/
			)
		});
		const again = await restore(book);
		expect(again).toMatchObject({ code: 1, output: expect.stringMatching(/only into an empty one/) });
	}, 240_000);
	it('is served with what was read into it, and a signal to npm ends server and database', async () => {
		const port = await freePort();
		const child = npmRun('workshop', port);
		expect(await up(port)).toBe(true);
		expect(await (await fetch(`http://127.0.0.1:${port}/masters`)).text()).toContain('Stage anvil');
		const pid = databasePid('workshop');
		expect(alive(pid)).toBe(true);
		child.kill('SIGTERM');
		expect(await until(() => !alive(pid), { withinMs: 40_000 })).toBe(true);
		expect(await until(() => isFree(port), { withinMs: 10_000 })).toBe(true);
	}, 240_000);
	it('backs itself up: read back, compared, one for the day, and restored from it', async () => {
		const backUp = () =>
			run('npm', ['run', '--silent', 'backup'], {
				show: false,
				// of the workshop in that folder, whatever database these tests are given
				env: { ANTHYPOS_STATE: state, DATABASE_URL: '' }
			});
		expect(await backUp()).toMatchObject({
			code: 0,
			output: expect.stringMatching(/It holds \d+ rows in [\d.]+ MB, and every table was compared/)
		});
		const folder = join(state, 'backups', 'workshop');
		const [first] = listBackups(folder);
		expect(first!.rows).toBeGreaterThan(500);
		expect(statSync(join(folder, first!.file)).size).toBe(first!.sizeBytes);
		// a second of the same day takes the place of the first, and nothing else is left lying
		expect((await backUp()).code).toBe(0);
		const [second, ...others] = listBackups(folder);
		expect(others).toEqual([]);
		expect(second!.atMs).toBeGreaterThan(first!.atMs);
		expect(readdirSync(folder).sort()).toEqual([second!.file.replace('.zip', '.json'), second!.file]);
		expect(second!.rows).toBe(first!.rows);
	}, 240_000);
	it('keeps what stands in an older database before it changes it, and brings that back', async () => {
		const folder = join(state, 'backups', 'workshop');
		const dumps = () => readdirSync(folder).filter((name) => name.endsWith('.sql.gz'));
		const database = await startDatabase(join(state, 'workshop'));
		const connection = await createConnection(database.url);
		const [{ n: pulls }] = await connection.query('SELECT COUNT(*) AS n FROM pulls');
		// as the version before left it
		await connection.query("DELETE FROM migrations WHERE name > '0022-stock'");
		for (const table of ['pour_events', 'making_events'])
			await connection.query(`ALTER TABLE ${table} DROP COLUMN clockOffMs`);
		expect(await keepBeforeMigration(database.url, folder)).toMatchObject({ last: '0022-stock' });
		const [file, ...others] = dumps();
		expect(others).toEqual([]);
		// nothing of it can be kept where nothing may be written: the tables stay as they are
		await expect(keepBeforeMigration(database.url, join(book, 'nowhere'))).rejects.toThrow(
			/Nothing was changed/
		);
		expect(await connection.query("SHOW COLUMNS FROM pour_events LIKE 'clockOffMs'")).toEqual([]);
		// what was entered is not overwritten
		await expect(bringBack(join(folder, file!), database.url)).rejects.toThrow(/only into an empty one/);
		await connection.query('SET foreign_key_checks = 0');
		for (const row of await connection.query('SHOW TABLES'))
			await connection.query(`DROP TABLE \`${Object.values(row)[0]}\``);
		await connection.end();
		await database.stop();
		// half of it is refused, and leaves the workshop empty
		const half = join(state, 'half.sql.gz');
		const whole = readFileSync(join(folder, file!));
		writeFileSync(half, whole.subarray(0, whole.length / 2));
		expect(await restore(half)).toMatchObject({
			code: 1,
			output: expect.stringMatching(/no whole backup.*Nothing was read/)
		});
		expect(await restore(join(folder, file!))).toMatchObject({ code: 0 });
		const again = await startDatabase(join(state, 'workshop'));
		try {
			const read = await createConnection(again.url);
			expect(await read.query('SELECT COUNT(*) AS n FROM pulls')).toEqual([{ n: pulls }]);
			expect(await read.query("SHOW COLUMNS FROM pour_events LIKE 'clockOffMs'")).toHaveLength(1);
			await read.end();
			// all of this version: nothing to keep
			expect(await keepBeforeMigration(again.url, folder)).toBeUndefined();
		} finally {
			await again.stop();
		}
	}, 300_000);
	it('npm start ends with its npm, too', async () => {
		const database = await startDatabase(join(state, 'workshop'));
		try {
			const port = await freePort();
			const child = npmRun('start', port, { DATABASE_URL: database.url });
			expect(await up(port)).toBe(true);
			child.kill('SIGTERM');
			expect(await until(() => isFree(port), { withinMs: 20_000 })).toBe(true);
		} finally {
			await database.stop();
		}
	}, 240_000);
});

describe('databases that are made and started at the same moment', () => {
	it('do not clear away what the others need for a moment', async () => {
		const folders = ['beside-1', 'beside-2', 'beside-3', 'beside-4'].map((name) => join(state, name));
		const started = await Promise.allSettled(folders.map((folder) => startDatabase(folder)));
		for (const one of started) if (one.status === 'fulfilled') await one.value.stop();
		expect(started.map((one) => (one.status === 'rejected' ? String(one.reason) : 'up'))).toEqual(
			folders.map(() => 'up')
		);
	}, 240_000);
});
