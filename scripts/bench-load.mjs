// Pages over 100 000 pulls and 300 moulds with 20 clients on loopback, and memory over 10 000 requests.
import { readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import autocannon from 'autocannon';
import { ensureBuild } from './lib/build.mjs';
import { fillLarge } from './lib/load.mjs';
import { startDatabase } from './lib/mariadb.mjs';
import { ensureNodePackages } from './lib/packages.mjs';
import { stateDir } from './lib/paths.mjs';
import { freePort } from './lib/ports.mjs';
import { main, say } from './lib/say.mjs';
import { startWeb } from './lib/web.mjs';

const CLIENTS = 20;
const PAGES_EACH = 8;
const THINK_MS = 1000;
const MANY = 10_000;
const row = (what, value, aim) => say(`${what.padEnd(42)} ${value.padStart(28)}   ${aim}`);
const wait = (ms) => new Promise((done) => setTimeout(done, ms));

/** Resident memory of a process, MB. */
function memoryMb(pid) {
	const pages = Number(readFileSync(`/proc/${pid}/statm`, 'utf8').split(' ')[1]);
	return (pages * 4096) / 1024 ** 2;
}

const fire = (url, amount, connections = CLIENTS) => autocannon({ url, amount, connections, timeout: 60 });

/** Clients that each look at a page for a second before they ask for the next: times of all answers, ms, rising. */
async function look(url) {
	const times = [];
	await Promise.all(
		Array.from({ length: CLIENTS }, async (_, i) => {
			await wait((i * THINK_MS) / CLIENTS);
			for (let k = 0; k < PAGES_EACH; k++) {
				const from = performance.now();
				const response = await fetch(url);
				await response.text();
				if (!response.ok) throw new Error(`${url} answered ${response.status}`);
				times.push(performance.now() - from);
				await wait(THINK_MS * (0.8 + 0.4 * Math.random()));
			}
		})
	);
	return times.sort((a, b) => a - b);
}

export async function load() {
	const dir = join(stateDir, 'bench-load');
	rmSync(dir, { recursive: true, force: true });
	const database = await startDatabase(dir);
	let web;
	try {
		web = await startWeb({ databaseUrl: database.url, port: await freePort(), demo: true, quiet: true });
		const { mouldId } = await fillLarge(database.url);
		const paths = [
			'/',
			'/ledger',
			'/ledger?page=200',
			'/ledger?text=rarity',
			'/ledger?text=usual',
			'/ledger?grade=scrap&sort=humidity',
			'/ledger?fault=foam',
			`/ledger?mould=${mouldId}`,
			'/moulds',
			'/masters',
			'/shots',
			'/shelf',
			'/pots',
			'/moulds/wear',
			'/ledger/faults',
			'/ledger/yield'
		];
		for (const path of paths) {
			await fire(web.url + path, 40, 4);
			const times = await look(web.url + path);
			const at = (share) => times[Math.floor(share * (times.length - 1))].toFixed(0);
			// without a pause between pages the answers wait for each other: what two cores give at most
			const rushed = await fire(web.url + path, 100);
			row(
				path.replace(mouldId, '…'),
				`${at(0.5)} / ${at(0.95)} ms`,
				`50 / 95 % of ${CLIENTS} clients, aim under 120; ${Math.round(rushed.requests.average)}/s at most${rushed.non2xx ? `, ${rushed.non2xx} FAILED` : ''}`
			);
		}
		const memory = [];
		let failed = 0;
		for (let done = 0; done < MANY; done += MANY / 5) {
			failed += (await fire(`${web.url}/ledger`, MANY / 5)).non2xx;
			memory.push(memoryMb(web.pid).toFixed(0));
		}
		row(
			`memory at every ${MANY / 5} of ${MANY} requests`,
			`${memory.join(', ')} MB`,
			`flat after the first; ${failed} failed`
		);
	} finally {
		await web?.stop();
		await database.stop();
		rmSync(dir, { recursive: true, force: true });
	}
}

if (process.argv[1]?.endsWith('bench-load.mjs'))
	main(async () => {
		await ensureNodePackages();
		await ensureBuild();
		await load();
	});
