import { randomUUID } from 'node:crypto';
import { beforeAll, describe, expect, it } from 'vitest';
import { base, get, post } from './http';

/** The demo keeps one pour open; its address stands in the clocks. */
let pourId = '';
beforeAll(async () => {
	const { json } = await get('/api/clocks');
	const clock = json.clocks.find((c: { kind: string }) => c.kind === 'cure');
	pourId = clock.href.split('/').pop();
});
const url = () => `/api/pours/${pourId}/events`;
const event = (over: object = {}) => ({
	id: randomUUID(),
	atMs: Date.now(),
	kind: 'step-done',
	stepId: 'look',
	...over
});

describe('events of a pour', () => {
	it('sending one many times, also at once, adds it once', async () => {
		const before = (await get(url())).json.events.length;
		const one = event();
		const answers = await Promise.all(Array.from({ length: 12 }, () => post(url(), { events: [one] })));
		expect(answers.map((a) => a.status)).toEqual(new Array(12).fill(200));
		const after = (await get(url())).json;
		expect(after.events.length).toBe(before + 1);
		expect(after.events.filter((e: { id: string }) => e.id === one.id)).toHaveLength(1);
	});

	it('another device gets only what is new', async () => {
		const { lastSeq } = (await get(url())).json;
		const one = event({ stepId: 'shake' });
		await post(url(), { events: [one] });
		const news = (await get(`${url()}?after=${lastSeq}`)).json;
		expect(news.events).toEqual([one]);
		expect(news.lastSeq).toBeGreaterThan(lastSeq);
	});

	it.each([
		['no id', { kind: 'step-done', stepId: 'look', atMs: Date.now() }],
		['an id that is none', event({ id: "'; DROP TABLE pours; --" })],
		['a clock years off', event({ atMs: 12 })],
		['a gauge below nothing', event({ kind: 'pressure-read', gaugeKpa: -1 })],
		['an unknown kind', event({ kind: 'explosion' })]
	])('refuses %s with 422 and adds nothing', async (_name, bad) => {
		const before = (await get(url())).json.events.length;
		const { status, json } = await post(url(), { events: [event({ stepId: 'combine' }), bad] });
		expect(status).toBe(422);
		expect(json.errors[0].message).toBeTruthy();
		expect((await get(url())).json.events.length).toBe(before);
	});

	it('a pour that does not exist is 404', async () => {
		expect((await post(`/api/pours/${randomUUID()}/events`, { events: [] })).status).toBe(404);
		expect((await get(`/api/pours/nonsense/events`)).status).toBe(404);
	});

	it('a note with markup comes back as typed', async () => {
		const note = `<script>alert('x')</script> "quoted" 🦀`;
		const graded = {
			id: randomUUID(),
			atMs: Date.now(),
			kind: 'graded',
			mouldId: 'nobody',
			grade: 'good',
			faults: [],
			note
		};
		expect((await post(url(), { events: [graded] })).status).toBe(200);
		const { events } = (await get(url())).json;
		expect(events.find((e: { id: string }) => e.id === graded.id).note).toBe(note);
	});
});

describe('pages', () => {
	it.each([
		'/',
		'/masters',
		'/moulds',
		'/shelf',
		'/shots',
		'/pour',
		'/ledger',
		'/settings',
		'/masters/new',
		'/moulds/new',
		'/shots/new'
	])('%s answers', async (path) => {
		expect((await get(path)).status).toBe(200);
	});
	it.each([
		'/masters/none',
		'/moulds/none',
		'/shots/none',
		'/pour/none',
		'/ledger/none',
		'/shelf/resins/none',
		'/photos/none',
		'/nowhere'
	])('%s is not here', async (path) => {
		expect((await get(path)).status).toBe(404);
	});
	it.each([
		'/ledger?page=-5&grade=superb',
		'/ledger?page=1e99',
		'/ledger?text=%25%27%20OR%201=1--',
		`/ledger?text=${'x'.repeat(3000)}`,
		'/ledger?mould=%00'
	])('%s is harmless', async (path) => {
		expect((await get(path)).status).toBe(200);
	});
	it('the pull count of a mould follows from the ledger', async () => {
		const { text } = await get('/ledger');
		expect(Number(/(\d+) pulls, newest first/.exec(text)![1])).toBeGreaterThan(50);
	});
});

describe('forms from outside the browser', () => {
	const form = async (path: string, body: BodyInit, headers: Record<string, string> = {}) => {
		const response = await fetch(base + path, {
			method: 'POST',
			body,
			headers: { accept: 'text/html', ...headers },
			redirect: 'manual'
		});
		return { status: response.status, text: await response.text() };
	};
	it.each([
		'/masters/new',
		'/moulds/new',
		'/shots/new',
		'/shelf/resins/new',
		'/shelf/rubbers/new',
		'/settings?/save&version=1'
	])('%s answers nonsense with a 400, never a 500', async (path) => {
		for (const junk of [
			'',
			'name=%00&lengthMm=NaN',
			'__superform_json=%5B%7B%7D%5D',
			`name=${'x'.repeat(200_000)}`
		]) {
			const { status } = await form(path, junk, { 'content-type': 'application/x-www-form-urlencoded' });
			expect(status, junk.slice(0, 40)).toBeGreaterThanOrEqual(400);
			expect(status, junk.slice(0, 40)).toBeLessThan(500);
		}
	});
	it('ten megabytes are answered with 413', async () => {
		const { status } = await form('/masters/new', `note=${'x'.repeat(12_000_000)}`, {
			'content-type': 'application/x-www-form-urlencoded'
		});
		expect(status).toBe(413);
	});
});
