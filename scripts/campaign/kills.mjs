// The database and the servers are killed while clients and a browser note what happens at the bench.
import { randomUUID } from 'node:crypto';
import { until } from '../lib/run.mjs';
import { ask, sessionToken } from './signedIn.mjs';
import { chance, Tally } from './world.mjs';

const wait = (ms) => new Promise((done) => setTimeout(done, ms));

/** Clients that send an event again and again until it is confirmed, as a bench does. */
function clients(world, pour, tally, count) {
	const confirmed = new Set();
	let stop = false;
	const all = Array.from({ length: count }, async (_, i) => {
		while (!stop) {
			const event = { id: randomUUID(), atMs: Date.now(), kind: 'step-done', stepId: 'look' };
			for (let again = 0; ; again++) {
				const url = world.urls[(i + again) % world.urls.length];
				const answer = await ask(`${url}/api/pours/${pour}/events`, {
					method: 'POST',
					headers: { 'content-type': 'application/json' },
					// a clock that is off by hours moves nothing
					body: JSON.stringify({ events: [event], sentAtMs: Date.now() + (i - 1) * 3_600_000 }),
					signal: AbortSignal.timeout(20_000)
				}).catch(() => undefined);
				if (answer) tally.note('an event', answer.status);
				if (answer?.status === 200) break;
				if (again > 600) {
					tally.wrong.push('an event was not taken in 600 tries');
					return;
				}
				await wait(100);
			}
			confirmed.add(event.id);
			await wait(15);
		}
	});
	return { confirmed, stop: () => ((stop = true), Promise.all(all)) };
}

/** A browser at a bench: steps are pressed and taken back, whatever the server does. */
async function browserAtBench(world, pour, chromium) {
	const { chromium: driver } = await import('@playwright/test');
	const browser = await driver.launch({
		executablePath: chromium,
		args: [
			'--no-sandbox',
			'--disable-gpu',
			'--disable-quic',
			'--no-first-run',
			'--disable-background-networking'
		]
	});
	const page = await browser.newPage();
	const token = sessionToken();
	if (token) await page.context().addCookies([{ name: 'session', value: token, url: world.urls[0] }]);
	await page.goto(`${world.urls[0]}/pour/${pour}`);
	await page.locator('fieldset.waking:enabled').first().waitFor({ state: 'attached', timeout: 60_000 });
	const back = page.getByRole('button', { name: 'Back', exact: true });
	let presses = 0;
	let stop = false;
	const pressing = (async () => {
		while (!stop) {
			const title = await page.getByRole('heading', { level: 1 }).textContent();
			await page.keyboard.press('Space');
			const moved = await until(
				async () => (await page.getByRole('heading', { level: 1 }).textContent()) !== title,
				{ withinMs: 30_000 }
			);
			if (!moved) continue;
			presses++;
			await wait(400);
			await back.click({ timeout: 30_000 });
			presses++;
			await wait(400);
		}
	})();
	return {
		async stop() {
			stop = true;
			await pressing;
			return presses;
		},
		close: () => browser.close()
	};
}

/** Kills the database and both servers in turn, so many times each. */
export async function kills(world, each, chromium, seed) {
	const tally = new Tally('kills');
	const dice = chance(seed);
	const { clocks } = await (await ask(`${world.urls[0]}/api/clocks`)).json();
	const pour = clocks
		.find((c) => c.kind === 'cure')
		.href.split('/')
		.pop();
	const eventsOf = async (id) => (await (await ask(`${world.urls[1]}/api/pours/${id}/events`)).json()).events;
	// a pour that waits for its first steps, for the browser
	const home = await (await ask(world.urls[0])).text();
	const open = [...new Set([...home.matchAll(/\/pour\/([0-9a-f-]{36})/g)].map((m) => m[1]))];
	const begunWith = await Promise.all(
		open.filter((id) => id !== pour).map(async (id) => ({ id, events: await eventsOf(id) }))
	);
	// the one that is least far: its next steps are looked at and prepared, and can be taken back
	const bench = begunWith
		.filter(({ events }) => !events.some((e) => e.kind === 'weighed' || e.kind === 'dosed'))
		.sort((a, b) => a.events.length - b.events.length)[0]?.id;
	const begun = bench ? (await eventsOf(bench)).length : 0;
	const browser = bench ? await browserAtBench(world, bench, chromium) : undefined;
	if (!browser) tally.wrong.push('no pour was found for the browser');
	const writers = clients(world, pour, tally, 4);
	for (let k = 0; k < 2 * each; k++) {
		const before = writers.confirmed.size;
		await wait(50 + dice.below(600));
		if (k % 2 === 0) await world.killDatabase();
		else await world.killServer(dice.below(2));
		if (!(await until(() => writers.confirmed.size > before + 8, { withinMs: 60_000 })))
			tally.wrong.push(`nothing was kept in the minute after kill ${k + 1}`);
	}
	await writers.stop();
	const presses = await browser?.stop();
	const kept = (await eventsOf(pour)).map((e) => e.id);
	const lost = [...writers.confirmed].filter((id) => !kept.includes(id)).length;
	if (lost > 0) tally.wrong.push(`${lost} confirmed events were lost`);
	if (new Set(kept).size !== kept.length) tally.wrong.push('an event is there twice');
	if (browser) {
		const arrived = await until(async () => (await eventsOf(bench)).length - begun >= presses, {
			withinMs: 60_000,
			everyMs: 500
		});
		const count = (await eventsOf(bench)).length - begun;
		if (!arrived || count !== presses)
			tally.wrong.push(`of ${presses} presses in the browser ${count} arrived`);
		await browser.close();
	}
	tally.remark = `${2 * each} kills, ${writers.confirmed.size} events confirmed, ${presses ?? 0} presses in a browser; ${lost} lost`;
	return tally;
}

/** A form that is sent by many at once, and a client so slow that it never ends. */
export async function doublesAndSlow(world, count, seed) {
	const tally = new Tally('double posts, slow lines');
	const dice = chance(seed);
	const names = [];
	for (let i = 0; i < count; i++) {
		const name = `Sent by many ${seed} ${i}`;
		const madeId = randomUUID();
		names.push(name);
		await Promise.all(
			Array.from({ length: 10 }, async (_, k) => {
				const form = new FormData();
				for (const [field, value] of Object.entries({ name, kind: 'wax', madeId })) form.append(field, value);
				const url = world.urls[k % 2];
				await tally.send('a form again', `${url}/shelf/releases/new`, {
					method: 'POST',
					headers: { accept: 'application/json', 'x-sveltekit-action': 'true', origin: url },
					body: form
				});
			})
		);
	}
	const { tables } = await (await ask(`${world.urls[0]}/workshop/book.json`)).json();
	for (const name of names) {
		const there = tables.materials.filter((m) => m.name === name || m.body?.name === name).length;
		if (there !== 1) tally.wrong.push(`${name}: ${there} were made of ten arrivals`);
	}
	// lines that trickle, and lines that break
	await Promise.all(
		Array.from({ length: 6 }, async (_, k) => {
			const stop = new AbortController();
			const body = new ReadableStream({
				async pull(c) {
					c.enqueue(new Uint8Array(1 + dice.below(200)));
					await wait(60);
				}
			});
			setTimeout(() => stop.abort(), 1500);
			await ask(`${world.urls[k % 2]}/api/meshes?name=slow.stl`, {
				method: 'POST',
				headers: { 'content-type': 'application/octet-stream' },
				body,
				duplex: 'half',
				signal: stop.signal
			}).catch(() => undefined);
		})
	);
	await tally.send('after slow lines', `${world.urls[0]}/masters`);
	return tally;
}
