// npm run test:cluster: two application processes on a cluster of three on loopback, while its nodes are killed in turn.
import { randomUUID } from 'node:crypto';
import { rmSync } from 'node:fs';
import { join } from 'node:path';
import { ensureBuild } from './lib/build.mjs';
import { startCluster } from './lib/cluster.mjs';
import { ensureNodePackages } from './lib/packages.mjs';
import { stateDir } from './lib/paths.mjs';
import { freePort } from './lib/ports.mjs';
import { until } from './lib/run.mjs';
import { main, say, Stop } from './lib/say.mjs';
import { startWeb } from './lib/web.mjs';

const kills = Number(/--kills=(\d+)/.exec(process.argv.join(' '))?.[1] ?? 10);
/** So many moulds are made at once, over both processes. */
const AT_ONCE = 24;

const check = (holds, sentence) => {
	if (!holds) throw new Stop(`The cluster’s check failed: ${sentence}`);
};
const median = (list) => [...list].sort((a, b) => a - b)[Math.floor(list.length / 2)] ?? 0;

main(async () => {
	await ensureNodePackages();
	await ensureBuild();
	const dir = join(stateDir, 'cluster');
	rmSync(dir, { recursive: true, force: true });
	const cluster = await startCluster(dir);
	const webs = [];
	try {
		// each process asks another node first, and both start at once on an empty cluster
		webs.push(
			...(await Promise.all(
				[0, 1].map(async (i) =>
					startWeb({ databaseUrl: cluster.urls[i], port: await freePort(), demo: true })
				)
			))
		);
		await numbersAtOnce(webs);
		const result = await underKills(cluster, webs);
		say(
			`${kills} kills of nodes in turn: ${result.confirmed} events confirmed of ${result.sent} sent, each kept once; the longest wait for a node was ${(result.longestMs / 1000).toFixed(1)} s, the median ${(result.medianMs / 1000).toFixed(1)} s.`
		);
	} finally {
		for (const web of webs) await web.stop();
		await cluster.stop();
		rmSync(dir, { recursive: true, force: true });
	}
});

/** Moulds that are made at once over both processes have numbers of their own; what one wrote the other reads. */
async function numbersAtOnce(webs) {
	const page = await (await fetch(`${webs[0].url}/workshop/book.json`)).json();
	const { masters, materials, moulds } = page.tables;
	const made = Array.from({ length: AT_ONCE }, () => randomUUID());
	const before = moulds.length;
	const master = masters.find((m) => m.volumeMl);
	const rubber = materials.find((m) => m.kind === 'rubber' && m.body?.use === 'pour');
	check(master && rubber, 'the demo has neither master nor rubber');
	const answers = await Promise.all(
		made.map(async (madeId, i) => {
			const form = new FormData();
			const fields = {
				label: `At once ${i}`,
				masterId: master.id,
				rubberId: rubber.id,
				clearanceMm: '12',
				coverMm: '12',
				lossPercent: '4',
				roomTempC: '21',
				kind: 'one-piece',
				madeId
			};
			for (const [name, value] of Object.entries(fields)) form.append(name, value);
			const { url } = webs[i % webs.length];
			const answer = await fetch(`${url}/moulds/new`, {
				method: 'POST',
				headers: { accept: 'application/json', 'x-sveltekit-action': 'true', origin: url },
				body: form
			});
			return answer.text();
		})
	);
	const refused = answers.find((text) => !/"type":"redirect"/.test(text));
	check(!refused, `a mould was not made: ${refused?.slice(0, 400)}`);
	// what was written through one node is there through the other, at once
	for (const { url } of webs) {
		const rows = (await (await fetch(`${url}/workshop/book.json`)).json()).tables.moulds;
		check(rows.length === before + AT_ONCE, `${rows.length - before} of ${AT_ONCE} moulds are there`);
		check(new Set(rows.map((m) => m.number)).size === rows.length, 'two moulds have one number');
	}
	say(`${AT_ONCE} moulds at once over two nodes: ${AT_ONCE} numbers, seen by both processes.`);
}

/** Events from both processes while nodes die: each that was confirmed is there, none twice, in one order for all. */
async function underKills(cluster, webs) {
	const { clocks } = await (await fetch(`${webs[0].url}/api/clocks`)).json();
	const pour = clocks
		.find((c) => c.kind === 'cure')
		.href.split('/')
		.pop();
	const confirmed = new Set();
	const sent = new Set();
	const waits = [];
	const seen = webs.map(() => []);
	let stop = false;
	const writers = webs.flatMap(({ url }) =>
		Array.from({ length: 2 }, async () => {
			while (!stop) {
				const event = { id: randomUUID(), atMs: Date.now(), kind: 'step-done', stepId: 'look' };
				sent.add(event.id);
				const from = Date.now();
				// a device sends again until it is answered
				const done = await until(
					async () => {
						const answer = await fetch(`${url}/api/pours/${pour}/events`, {
							method: 'POST',
							headers: { 'content-type': 'application/json' },
							body: JSON.stringify({ events: [event] }),
							signal: AbortSignal.timeout(15_000)
						}).catch(() => undefined);
						check(
							!answer || answer.status === 200 || answer.status === 503,
							`an event was answered with ${answer?.status}`
						);
						return answer?.status === 200;
					},
					{ withinMs: 60_000 }
				);
				check(done, 'an event was not taken within a minute');
				confirmed.add(event.id);
				waits.push(Date.now() - from);
				await new Promise((r) => setTimeout(r, 40));
			}
		})
	);
	// a second device that follows by sequence number must miss none, whichever node wrote it
	const followers = webs.map(async ({ url }, i) => {
		let after = 0;
		const follow = async () => {
			const answer = await fetch(`${url}/api/pours/${pour}/events?after=${after}`, {
				signal: AbortSignal.timeout(15_000)
			})
				.then((r) => (r.ok ? r.json() : undefined))
				.catch(() => undefined);
			if (!answer) return;
			seen[i].push(...answer.events.map((e) => e.id));
			after = answer.lastSeq;
		};
		while (!stop) {
			await follow();
			await new Promise((r) => setTimeout(r, 100));
		}
		return follow;
	});
	const failures = [...writers, ...followers].map((p) => p.catch((error) => error));
	for (let k = 0; k < kills; k++) {
		const i = k % cluster.nodes.length;
		const before = confirmed.size;
		await cluster.kill(i);
		const on = await until(() => confirmed.size > before + 8, { withinMs: 60_000 });
		check(on, `nothing was kept in the minute after node ${i + 1} was killed`);
		await cluster.start(i);
		say(`Node ${i + 1} was killed and is back; ${confirmed.size} events confirmed so far.`);
	}
	stop = true;
	for (const outcome of await Promise.all(failures)) if (outcome instanceof Error) throw outcome;
	// what came after the last look
	for (const follow of await Promise.all(followers)) await follow();
	for (const [i, { url }] of webs.entries()) {
		const { events } = await (await fetch(`${url}/api/pours/${pour}/events`)).json();
		const ids = events.map((e) => e.id);
		check(new Set(ids).size === ids.length, 'an event is kept twice');
		const missing = [...confirmed].filter((id) => !ids.includes(id));
		check(missing.length === 0, `${missing.length} confirmed events are missing`);
		const missed = [...confirmed].filter((id) => !seen[i].includes(id));
		check(missed.length === 0, `${missed.length} events were missed by a device that follows`);
	}
	return {
		confirmed: confirmed.size,
		sent: sent.size,
		longestMs: Math.max(...waits),
		medianMs: median(waits)
	};
}
