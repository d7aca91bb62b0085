// Calculations, forms and addresses with whatever may stand in them.
import { randomUUID } from 'node:crypto';
import { ask } from './signedIn.mjs';
import { chance, JUNK, Tally } from './world.mjs';

const VALUES = [null, '', 'text', true, -1, 0, 5e-324, 1e308, -1e308, 1e39, [], {}, '🦀', [[]], 'NaN'];

/** Every place inside a JSON value, as a path. */
function paths(value, at = []) {
	if (value === null || typeof value !== 'object') return [at];
	return [
		at,
		...Object.entries(value).flatMap(([k, v]) => paths(v, [...at, Array.isArray(value) ? Number(k) : k]))
	];
}

function replaced(value, [head, ...rest], by) {
	if (head === undefined) return by;
	const copy = Array.isArray(value) ? [...value] : { ...value };
	copy[head] = replaced(copy[head], rest, by);
	return copy;
}

/** A number made larger or smaller, so that it is worked with; or something else in its place. */
function changed(input, dice) {
	const path = dice.of(paths(input));
	const value = path.reduce((v, k) => v[k], input);
	const worked = typeof value === 'number' && dice.next() < 0.8;
	return replaced(input, path, worked ? value * 10 ** (4 * dice.next() - 2) : dice.of(VALUES));
}

/** Calculations of the open interface with one or two of their values replaced. */
export async function fuzzCalculations(world, count, seed) {
	const tally = new Tally('calculations');
	const dice = chance(seed);
	const { calculations } = await (await ask(`${world.urls[0]}/api/calc`)).json();
	const known = calculations.filter((c) => c.body === undefined);
	for (let i = 0; i < count; i++) {
		const { name, example } = dice.of(known);
		let input = example;
		for (let n = dice.below(2); n >= 0; n--) input = changed(input, dice);
		const { status, text } = await tally.send(`calc ${name} ${i}`, `${world.urls[i % 2]}/api/calc/${name}`, {
			method: 'POST',
			headers: { 'content-type': 'application/json' },
			body: JSON.stringify(input)
		});
		// a name may be NaN, and comes back as it was
		if (status === 200 && /NaN|Infinity/.test(text) && !JSON.stringify(input).includes('NaN'))
			tally.wrong.push(`calc ${name} ${i}: answered with no number`);
		if (status === 422 && !(JSON.parse(text).errors?.[0]?.message?.length > 3))
			tally.wrong.push(`calc ${name} ${i}: refused without a sentence`);
	}
	return tally;
}

/** Pages and records that forms stand on. */
async function pagesOf(url) {
	const found = new Set([
		'/quick',
		'/first',
		'/mix',
		'/cure',
		'/settings',
		'/settings/instruments',
		'/ledger/import',
		'/pots/load',
		'/ledger'
	]);
	for (const list of ['/masters', '/moulds', '/shelf', '/shots', '/pots', '/ledger']) {
		const html = await (await ask(url + list)).text();
		const hrefs = [...html.matchAll(/href="(\/[a-z][^"#?]*)"/g)].map((m) => m[1]);
		for (const href of hrefs.slice(0, 60)) if (!/\.(pdf|csv|json|zip|ics|svg)$/.test(href)) found.add(href);
	}
	return [...found].filter((path) => !path.startsWith('/_app'));
}

/** The forms of a page: where they are sent, and what their fields are called. */
function formsIn(html, path) {
	return [...html.matchAll(/<form\b([^>]*)>([\s\S]*?)<\/form>/gi)]
		.filter(([, head]) => /method="post"/i.test(head))
		.map(([, head, body]) => ({
			action: (/action="([^"]*)"/.exec(head)?.[1] ?? '').replaceAll('&amp;', '&') || path,
			names: [...new Set([...body.matchAll(/\bname="([^"]+)"/g)].map((m) => m[1]))],
			given: Object.fromEntries(
				[...body.matchAll(/<input[^>]*\bname="([^"]+)"[^>]*\bvalue="([^"]*)"/g)].map((m) => [m[1], m[2]])
			)
		}));
}

/** Forms as the pages have them, some of what stands in them replaced, doubled or left out, some not even forms. */
export async function fuzzForms(world, count, seed) {
	const tally = new Tally('forms');
	const dice = chance(seed);
	const forms = [];
	for (const path of await pagesOf(world.urls[0])) {
		const answer = await ask(world.urls[0] + path);
		if (answer.ok) forms.push(...formsIn(await answer.text(), path).map((f) => ({ ...f, path })));
	}
	if (forms.length < 10) tally.wrong.push(`only ${forms.length} forms were found`);
	for (let i = 0; i < count; i++) {
		const form = dice.of(forms);
		const url = new URL(form.action, world.urls[i % 2] + form.path);
		const headers = { accept: 'application/json', 'x-sveltekit-action': 'true', origin: url.origin };
		let body;
		if (dice.next() < 0.1) {
			// no form at all, or one that is cut off
			headers['content-type'] = dice.of([
				'multipart/form-data; boundary=x',
				'multipart/form-data',
				'application/json',
				'text/plain',
				'application/x-www-form-urlencoded'
			]);
			body = dice.of(['--x\r\nContent-Disposition: form-data; name="a"\r\n\r\n', '{', '%%%', '\u0000']);
		} else {
			body = new FormData();
			for (const name of form.names) {
				if (dice.next() < 0.15) continue;
				body.append(name, dice.next() < 0.5 ? (form.given[name] ?? '1') : dice.of(JUNK));
				if (dice.next() < 0.05) body.append(name, dice.of(JUNK));
			}
			if (dice.next() < 0.3) body.append(dice.of(JUNK).slice(0, 50) || 'x', dice.of(JUNK));
		}
		await tally.send(`form ${form.path} ${url.search} ${i}`, url, { method: 'POST', headers, body });
	}
	tally.remark = `${forms.length} forms on their pages`;
	return tally;
}

/** Addresses with ids, questions and ways of asking that nobody meant. */
export async function fuzzAddresses(world, count, seed) {
	const tally = new Tally('addresses');
	const dice = chance(seed);
	const pages = await pagesOf(world.urls[0]);
	const apis = [
		'/api/clocks',
		'/api/find',
		'/api/calc',
		'/api/meshes/x',
		'/api/pours/x/events',
		'/api/makings/x/events',
		'/api/pours/x/devices',
		'/api/progress/x',
		'/api/photos',
		'/workshop/book.json',
		'/ledger/export.csv',
		'/moulds/labels.pdf',
		'/workshop/calendar.ics',
		'/photos/x'
	];
	for (let i = 0; i < count; i++) {
		let path = dice.of([...pages, ...apis]);
		if (dice.next() < 0.4)
			path = path.replace(/[0-9a-f]{8}-[0-9a-f-]{27}|x$/, () =>
				encodeURIComponent(dice.of([randomUUID(), 'x', "'", '1', 'null', '%', '\u0000', '🦀', '..']))
			);
		if (dice.next() < 0.1) path += dice.of(['/..', '//', '/%c0', '/%2e%2e', '/__data.json', '.json']);
		const asked = new URLSearchParams();
		for (let n = dice.below(4); n > 0; n--)
			asked.append(
				dice.of([
					'page',
					'sort',
					'text',
					'mould',
					'master',
					'resin',
					'by',
					'from',
					'to',
					'ids',
					'after',
					'pot',
					'q',
					'grade',
					'fault',
					'state'
				]),
				dice.of(JUNK)
			);
		const method = dice.next() < 0.85 ? 'GET' : dice.of(['PUT', 'DELETE', 'PATCH', 'OPTIONS', 'HEAD']);
		await tally.send(`${method} ${path} ${i}`, `${world.urls[i % 2]}${path}?${asked}`, {
			method,
			headers: { accept: dice.of(['text/html', 'application/json', '*/*']) }
		});
	}
	return tally;
}
