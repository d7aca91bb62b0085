import { randomUUID } from 'node:crypto';
import { existsSync, mkdtempSync, mkdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { startDatabase } from '../../scripts/lib/mariadb.mjs';
import { freePort } from '../../scripts/lib/ports.mjs';
import { startWeb } from '../../scripts/lib/web.mjs';
import { alive, until } from '../../scripts/lib/run.mjs';

interface Running {
	url: string;
	pid: number;
	stop: () => Promise<void>;
}

const dir = mkdtempSync(join(tmpdir(), 'anthypos-faults-'));
let database: Running & { port: number };
let web: Running;
let pourId = '';

const ask = async (path: string, init?: RequestInit) => {
	const response = await fetch(web.url + path, { ...init, signal: AbortSignal.timeout(20_000) });
	return {
		status: response.status,
		retryAfter: response.headers.get('retry-after'),
		text: await response.text()
	};
};
const send = (events: object[]) =>
	ask(`/api/pours/${pourId}/events`, {
		method: 'POST',
		headers: { 'content-type': 'application/json' },
		body: JSON.stringify({ events })
	});
const event = () => ({ id: randomUUID(), atMs: Date.now(), kind: 'step-done', stepId: 'look' });
const kept = async () =>
	(JSON.parse((await ask(`/api/pours/${pourId}/events`)).text) as { events: { id: string }[] }).events.map(
		(e) => e.id
	);

beforeAll(async () => {
	// a folder whose set-up was cut off before anything was kept
	mkdirSync(join(dir, 'db', 'data'), { recursive: true });
	writeFileSync(join(dir, 'db', 'data', 'ibdata1'), 'half');
	database = await startDatabase(join(dir, 'db'));
	web = await startWeb({ databaseUrl: database.url, port: await freePort(), demo: true, quiet: true });
	const { clocks } = JSON.parse((await ask('/api/clocks')).text) as {
		clocks: { kind: string; href: string }[];
	};
	pourId = clocks
		.find((c) => c.kind === 'cure')!
		.href.split('/')
		.pop()!;
}, 120_000);

afterAll(async () => {
	await web?.stop();
	await database?.stop();
	rmSync(dir, { recursive: true, force: true });
}, 60_000);

describe('nothing logged is ever lost', () => {
	it('a database killed in the middle of writing keeps every event that was confirmed', async () => {
		const confirmed: string[] = [];
		const sent: ReturnType<typeof event>[] = [];
		let stop = false;
		const writers = Array.from({ length: 4 }, async () => {
			for (let i = 0; i < 400 && !stop; i++) {
				const one = event();
				sent.push(one);
				const answer = await send([one]).catch(() => undefined);
				if (answer?.status === 200) confirmed.push(one.id);
				else if (answer) expect(answer.text).toMatch(/database does not answer/);
			}
		});
		await until(() => confirmed.length > 40, { withinMs: 20_000 });
		process.kill(database.pid, 'SIGKILL');
		await until(() => !alive(database.pid), { withinMs: 10_000 });
		const down = await ask('/masters');
		expect(down.status).toBe(503);
		expect(down.retryAfter).toBe('5');
		expect(down.text).toMatch(/database does not answer/);
		expect(down.text).not.toMatch(/ at .*\.js:\d+/);
		stop = true;
		await Promise.all(writers);
		expect(confirmed.length).toBeGreaterThan(40);

		database = await startDatabase(join(dir, 'db'), { port: database.port });
		const there = await until(
			async () => ((await ask('/api/clocks')).status === 200 ? await kept() : undefined),
			{ withinMs: 30_000 }
		);
		for (const id of confirmed) expect(there).toContain(id);
		// a device sends again what was not confirmed: each event is there once
		expect((await send(sent.slice(-200))).status).toBe(200);
		const after = await kept();
		expect(new Set(after).size).toBe(after.length);
	}, 120_000);

	it('a web server killed in the middle of writing loses no confirmed event, and a second one takes over', async () => {
		const one = event();
		expect((await send([one])).status).toBe(200);
		const { pid } = web;
		process.kill(pid, 'SIGKILL');
		await until(() => !alive(pid), { withinMs: 10_000 });
		web = await startWeb({ databaseUrl: database.url, port: await freePort(), demo: true, quiet: true });
		expect(await kept()).toContain(one.id);
	}, 120_000);

	it('two servers on one database see the same', async () => {
		const second: Running = await startWeb({
			databaseUrl: database.url,
			port: await freePort(),
			quiet: true
		});
		try {
			const one = event();
			await send([one]);
			const theirs = await (await fetch(`${second.url}/api/pours/${pourId}/events`)).json();
			expect(theirs.events.map((e: { id: string }) => e.id)).toContain(one.id);
		} finally {
			await second.stop();
		}
	}, 120_000);

	it('with too little room on its disk it takes no files, says so, and keeps what happens at the bench', async () => {
		const env = { ANTHYPOS_DATA: dir, DISK_LOW_MB: '900000000' };
		const short: Running = await startWeb({
			databaseUrl: database.url,
			port: await freePort(),
			quiet: true,
			env
		});
		try {
			const answer = await fetch(`${short.url}/api/meshes?name=a.stl`, {
				method: 'POST',
				headers: { 'content-type': 'application/octet-stream' },
				body: new Uint8Array(500_000)
			});
			expect([answer.status, await answer.json()]).toEqual([
				507,
				expect.objectContaining({ message: expect.stringMatching(/MB free\): nothing was taken/) })
			]);
			const one = await fetch(`${short.url}/api/pours/${pourId}/events`, {
				method: 'POST',
				headers: { 'content-type': 'application/json' },
				body: JSON.stringify({ events: [event()] })
			});
			expect(one.status).toBe(200);
			expect(await (await fetch(`${short.url}/masters`)).text()).toMatch(
				/disk has [\d.]+ GB left: pictures, 3D files and books are not taken/
			);
		} finally {
			await short.stop();
		}
	}, 120_000);

	it('a start that finds the database still running takes it over', async () => {
		const again = await startDatabase(join(dir, 'db'));
		expect(again.pid).toBe(database.pid);
		expect(existsSync(join(dir, 'db', 'ready'))).toBe(true);
	});
});
