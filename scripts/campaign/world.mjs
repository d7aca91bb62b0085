// The workshop that the campaign is run against: its own database and processes, which can be killed and come back.
import { randomBytes } from 'node:crypto';
import { readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { startDatabase } from '../lib/mariadb.mjs';
import { stateDir } from '../lib/paths.mjs';
import { freePort } from '../lib/ports.mjs';
import { alive, until } from '../lib/run.mjs';
import { startWeb } from '../lib/web.mjs';
import { ask, signInFor, signOut } from './signedIn.mjs';

/** Numbers that come again with the same seed: mulberry32, public domain. */
export function chance(seed) {
	let a = seed >>> 0;
	const next = () => {
		a = (a + 0x6d2b79f5) >>> 0;
		let t = Math.imul(a ^ (a >>> 15), a | 1);
		t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
		return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
	};
	return {
		next,
		below: (n) => Math.floor(next() * n),
		of: (list) => list[Math.floor(next() * list.length)]
	};
}

/** Values that a hand, a broken program or somebody with bad intentions may send. */
export const JUNK = [
	'',
	' ',
	'-1',
	'0',
	'NaN',
	'1e309',
	'5e-324',
	'0x10',
	'12,5',
	"' OR 1=1 --",
	'%',
	'\\',
	'<script>alert(1)</script>',
	'2026-13-45',
	'🦀'.repeat(40),
	'\u0000',
	'../../etc/passwd',
	'constructor',
	'__proto__',
	'=1+1',
	'x'.repeat(5000)
];

/** How much of its memory a process has in use, MB. */
export function memoryMb(pid) {
	const pages = Number(readFileSync(`/proc/${pid}/statm`, 'utf8').split(' ')[1]);
	return (pages * 4096) / 1024 ** 2;
}

/** Starts a demo workshop on its own database with two processes. @param signedIn everybody has to be known, and is */
export async function openWorld({ signedIn = false } = {}) {
	const dir = join(stateDir, 'campaign');
	rmSync(dir, { recursive: true, force: true });
	let database = await startDatabase(dir);
	const ports = [await freePort(), await freePort()];
	const ownToken = randomBytes(32).toString('base64url');
	const serve = (i) =>
		startWeb({
			databaseUrl: database.url,
			port: ports[i],
			quiet: true,
			demo: true,
			env: {
				ANTHYPOS_DATA: join(dir, 'data'),
				LOG_LEVEL: 'silent',
				...(signedIn ? { SIGN_IN: '1', ANTHYPOS_OWN_TOKEN: ownToken } : {})
			}
		});
	const webs = [await serve(0), await serve(1)];
	signOut();
	if (signedIn) await signInFor(() => database.url);
	const murdered = async (pid) => {
		process.kill(pid, 'SIGKILL');
		await until(() => !alive(pid), { withinMs: 10_000 });
	};
	return {
		dir,
		ownToken: signedIn ? ownToken : undefined,
		urls: ports.map((port) => `http://127.0.0.1:${port}`),
		pids: () => webs.map((w) => w.pid),
		databaseUrl: () => database.url,
		async killDatabase() {
			await murdered(database.pid);
			database = await startDatabase(dir, { port: database.port });
		},
		async killServer(i) {
			await murdered(webs[i].pid);
			webs[i] = await serve(i);
		},
		async close() {
			for (const web of webs) await web.stop();
			await database.stop();
			rmSync(dir, { recursive: true, force: true });
		}
	};
}

/** What came of a part of the campaign, as a line of the table at its end. */
export class Tally {
	constructor(name) {
		this.name = name;
		this.tried = 0;
		this.answers = {};
		/** Whatever should not be, in words. */
		this.wrong = [];
		this.longestMs = 0;
		/** What took longest. */
		this.slowest = '';
		this.remark = '';
	}
	/** Notes an answer; a breakdown of ours is wrong, a database that is away is not. */
	note(what, status, ms = 0) {
		this.tried++;
		this.answers[status] = (this.answers[status] ?? 0) + 1;
		if (ms > this.longestMs) [this.longestMs, this.slowest] = [ms, what];
		if (status === 500 || status === 0) this.wrong.push(`${what}: ${status || 'no answer'}`);
	}
	/** Sends a request and notes its answer. @returns its text */
	async send(what, url, init = {}) {
		const from = performance.now();
		try {
			const answer = await ask(url, { redirect: 'manual', signal: AbortSignal.timeout(60_000), ...init });
			const text = await answer.text();
			this.note(what, answer.status, performance.now() - from);
			return { status: answer.status, text };
		} catch (error) {
			this.note(`${what} (${error.cause?.code ?? error.name})`, 0);
			return { status: 0, text: '' };
		}
	}
}
