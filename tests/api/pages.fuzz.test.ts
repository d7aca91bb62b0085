import { randomUUID } from 'node:crypto';
import fc from 'fast-check';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { closeDb } from '$lib/server/db/connection';
import { listContainers } from '$lib/server/repositories/containers';
import { lastPulls } from '$lib/server/repositories/ledger';
import { forgetView, listViews } from '$lib/server/repositories/ledgerCorrections';
import { listMoulds } from '$lib/server/repositories/moulds';
import { listPours } from '$lib/server/repositories/pours';
import { listShots } from '$lib/server/repositories/shots';
import { listVessels } from '$lib/server/repositories/vessels';
import { base, get, sendForm } from './http';

// what a hand, a stale bookmark or another program may send to a page: a sentence or a page, never a breakdown
let ids = { pull: '', mould: '', vessel: '', shot: '', container: '' };
beforeAll(async () => {
	ids = {
		pull: (await lastPulls(1))[0]!.id,
		mould: (await listMoulds()).find((m) => m.pulls > 0)!.id,
		vessel: (await listVessels())[0]!.id,
		shot: (await listShots(1))[0]!.id,
		container: (await listContainers())[0]!.id
	};
});
afterAll(closeDb);

const junk = fc.oneof(
	fc.string({ maxLength: 40 }),
	fc.constantFrom(
		'',
		'-1',
		'NaN',
		'1e309',
		'0x10',
		"' OR 1=1 --",
		'%',
		'_%_',
		'\\',
		'+foam -"',
		'2026-13-45',
		'9999-99-99',
		'0000-00-00',
		'🦀'.repeat(20),
		'\u0000',
		'../../etc',
		randomUUID(),
		'constructor',
		'__proto__'
	),
	fc.integer().map(String),
	fc.double().map(String)
);

describe('addresses that nobody made', () => {
	it.each([
		['/ledger', ['text', 'mould', 'grade', 'fault', 'resin', 'from', 'to', 'sort', 'way', 'page']],
		['/ledger/export.csv', ['text', 'mould', 'grade', 'fault', 'resin', 'from', 'to']],
		['/ledger/faults', ['fault']],
		['/ledger/yield', ['by']],
		['/pots/load', ['pot']],
		['/shots/new', ['mould', 'master', 'resin']],
		['/moulds/new', ['master', 'after']],
		['/mix', ['resin']],
		['/cure', ['resin', 'container']]
	])('%s answers whatever its questions say', async (path, names) => {
		await fc.assert(
			fc.asyncProperty(fc.dictionary(fc.constantFrom(...names), junk), async (query) => {
				const { status } = await get(`${path}?${new URLSearchParams(query)}`);
				expect(status, JSON.stringify(query)).toBeLessThan(500);
			}),
			{ numRuns: 25 }
		);
	});

	it('a record that is not there is not found, whatever its id looks like', async () => {
		for (const path of ['/ledger', '/moulds', '/pots', '/shots', '/masters', '/pour', '/shelf/containers'])
			for (const id of [randomUUID(), 'x', '%27', '1', 'null', '🦀']) {
				const { status, text } = await get(`${path}/${encodeURIComponent(id)}`);
				expect(status, `${path}/${id}`).toBe(404);
				expect(text).not.toMatch(/node_modules|at .*\.js:\d/);
			}
		expect((await get(`/moulds/${randomUUID()}/wear`)).status).toBe(404);
		expect((await get(`/moulds/${ids.mould}/wear?wanted=-4`)).status).toBeLessThan(500);
	});
});

describe('forms that nobody typed', () => {
	let before: string[] = [];
	beforeAll(async () => {
		before = (await listViews()).map((v) => v.id);
	});
	afterAll(async () => {
		// any text names a view: those of this test go again
		for (const { id } of await listViews()) if (!before.includes(id)) await forgetView(id);
	});

	it.each(['', 'x', '-1', '1.5', '999', 'NaN', ' 0'])('no pour begins for cup %j', async (batch) => {
		const open = async () => (await listPours({ status: 'open' })).length;
		const had = await open();
		const { text } = await sendForm(`/shots/${ids.shot}?/pour`, [['batch', batch]]);
		expect(text).toMatch(/"type":"failure","status":400/);
		expect(await open()).toBe(had);
	});

	const forms: [string, () => string, string[]][] = [
		['a correction', () => `/ledger/${ids.pull}?/correct`, ['field', 'to', 'who', 'why', 'fault', 'id']],
		['a cause', () => `/ledger/${ids.pull}?/cause`, ['fault', 'cause']],
		['a picture that is none', () => `/ledger/${ids.pull}?/photo`, ['photo', 'caption']],
		['a view', () => '/ledger?/keepView', ['name']],
		['a notebook', () => '/ledger/import', ['notebook']],
		['a vessel', () => `/pots/${ids.vessel}?/save`, ['__superform_json', 'name', 'volumeL']],
		['a look at a vessel', () => `/pots/${ids.vessel}?/inspect`, ['part', 'ok', 'by', 'note', 'id']],
		['a cycle', () => `/pots/${ids.vessel}?/cycle`, ['load', 'targetGaugeKpa', 'by', 'id']],
		['a look at a mould', () => `/moulds/${ids.mould}/wear?/inspect`, ['inspection', 'id', 'photo']],
		['a state', () => `/moulds/${ids.mould}?/state`, ['state', 'version']],
		['a shot', () => '/shots/new', ['__superform_json', 'copies', 'masterId', 'resinId']],
		['a trial', () => `/shots/${ids.shot}?/trial`, ['__superform_json', 'massG', 'what']],
		['an experience', () => '/shelf/meets?/keep', ['first', 'second', 'outcome', 'note']],
		['a tin’s speed', () => '/cure?/keep', ['containerId', 'asked', 'rateFactor']],
		['settings', () => '/settings?/save', ['__superform_json', 'roomTempC', 'units']]
	];
	it.each(forms)('%s: refused with a sentence, or nothing at all', async (_what, path, names) => {
		await fc.assert(
			fc.asyncProperty(
				fc.array(fc.tuple(fc.constantFrom(...names, 'stranger'), junk), { maxLength: 6 }),
				async (fields) => {
					const { status, text } = await sendForm(path(), fields);
					expect(status, `${path()} ${JSON.stringify(fields)}`).toBeLessThan(500);
					expect(text, JSON.stringify(fields)).not.toMatch(
						/"type":"error","status":5\d\d|went wrong on our side/
					);
					expect(text).not.toMatch(/node_modules|SequelizeDatabaseError/);
				}
			),
			{ numRuns: 15 }
		);
	});

	it.each([
		[
			'a multipart that is cut off',
			'multipart/form-data; boundary=x',
			'--x\r\nContent-Disposition: form-data; name="a"'
		],
		['a multipart without its boundary', 'multipart/form-data', 'a=1'],
		['nothing at all', 'multipart/form-data; boundary=x', '']
	])('%s is a bad request, with nothing said of our inside', async (_what, type, body) => {
		for (const path of ['/masters/new', '/moulds/new', '/shelf/resins/new', `/ledger/${ids.pull}?/photo`]) {
			const answer = await fetch(base + path, {
				method: 'POST',
				headers: {
					'content-type': type,
					accept: 'application/json',
					'x-sveltekit-action': 'true',
					origin: base
				},
				body
			});
			const text = await answer.text();
			expect(answer.status, `${path} ${text.slice(0, 200)}`).toBeLessThan(500);
			expect(text).toMatch(/cannot be read|"status":400/);
		}
	});

	it.each(['', 'NaN', '1e99', '-1', 'two'])(
		'a version of %j is a change by somebody else, nothing worse',
		async (version) => {
			const { text } = await sendForm(`/shelf/containers/${ids.container}?/emptied`, [
				['version', version],
				['emptied', '1']
			]);
			expect(text).toMatch(/"type":"failure"/);
			expect(text).toMatch(/changed on another device/);
		}
	);

	it('a look that is kept ten times at once is there once', async () => {
		const entry = crypto.randomUUID();
		const look = [
			['part', 'gasket'],
			['ok', 'yes'],
			['by', 'fuzz'],
			['note', '']
		] as const;
		const answers = await Promise.all(
			Array.from({ length: 10 }, () => sendForm(`/pots/${ids.vessel}?/inspect&entry=${entry}`, look))
		);
		for (const { status, text } of answers) {
			expect(status).toBeLessThan(500);
			expect(text).toMatch(/"type":"success"/);
		}
	});
});
