import { randomUUID } from 'node:crypto';
import { describe, expect, it } from 'vitest';
import { mayOf, MAY, type May } from '$lib/server/people/rules';
import { makeCode } from '$lib/server/people/codes';
import { db } from '$lib/server/db/connection';
import { addInstrument, revokeInstrument } from '$lib/server/repositories/instruments';
import { QueryTypes } from 'sequelize';
import { devicesOf } from '$lib/server/repositories/benchEvents';
import { addEvents, listPours, readEvents } from '$lib/server/repositories/pours';
import { base } from './http';
import { again, ask, cookieOf, forgiven, form, page, twoThatAsk } from './signIn';

const PASSPHRASE = 'seven wet gulls on a mast';
twoThatAsk();

let keeper = '';
let maker = '';

describe('the first start on a network', () => {
	it('serves nothing but the page that asks for the code', async () => {
		expect(await page('/ledger')).toMatchObject({ status: 303, to: '/sign-in/first?to=%2Fledger' });
		expect((await page('/sign-in')).to).toBe('/sign-in/first');
		const { status, text } = await page('/sign-in/first');
		expect(status).toBe(200);
		expect(text).toContain('The first keeper');
		expect(text).not.toMatch(/Lamplighter|Ammonite/);
		for (const path of ['/api/clocks', '/api/calc', '/workshop/book.zip'])
			expect((await ask(path)).status).toBe(401);
	});
	it('a wrong code makes nobody, and what was typed and is no secret comes back', async () => {
		const { text } = await form('/sign-in/first', {
			code: 'ABCD-2345-EFGH',
			name: 'Jo Maar',
			mark: 'jm',
			passphrase: PASSPHRASE
		});
		expect(text).toMatch(/This is not the code/);
		expect(text).toContain('Jo Maar');
		expect(text).not.toContain(PASSPHRASE);
		expect(text).not.toContain('ABCD');
	});
	it.each([
		['short', /At least 12 characters/],
		['passwordpassword', /easily guessed/],
		['Jo Maar jo maar', /easily guessed/]
	])('the passphrase %s is refused, and the code is not used up', async (passphrase, said) => {
		await forgiven();
		const code = await makeCode('first');
		expect((await form('/sign-in/first', { code, name: 'Jo Maar', mark: 'jm', passphrase })).text).toMatch(
			said
		);
	});
	it('the code makes the first keeper, once, and signs them in with a cookie that no script reads', async () => {
		await forgiven();
		const code = await makeCode('first');
		const typed = {
			code: `${code.slice(0, 4)} ${code.slice(4).toLowerCase()}`,
			name: 'Jo Maar',
			mark: 'jm',
			passphrase: PASSPHRASE
		};
		const answers = await Promise.all([
			form('/sign-in/first', typed),
			form('/sign-in/first', typed, { on: 1 })
		]);
		expect(answers.filter((a) => a.cookies.some((c) => c.startsWith('session=')))).toHaveLength(1);
		const made = answers.find((a) => a.cookies.length > 0)!;
		const flags = made.cookies.find((c) => c.startsWith('session='))!;
		expect(flags).toMatch(/; HttpOnly/i);
		expect(flags).toMatch(/SameSite=Lax/i);
		expect(flags).toMatch(/Path=\//);
		// by the device’s own clock, whatever year it has
		expect(flags).toMatch(/Max-Age=\d{7,8}(;|$)/);
		expect(flags).not.toMatch(/Expires=/);
		keeper = cookieOf(made);
		expect((await page('/ledger', keeper)).status).toBe(200);
		// another process knows the session as well
		expect((await page('/ledger', keeper, 1)).status).toBe(200);
	});
	it('keeps neither the passphrase nor the token itself', async () => {
		const [person] = await db().query<{ passphraseHash: string }>('SELECT passphraseHash FROM people', {
			type: QueryTypes.SELECT
		});
		expect(person!.passphraseHash).toMatch(/^\$argon2id\$v=19\$m=19456,t=2,p=1\$/);
		const rows = await db().query('SELECT * FROM sessions', { type: QueryTypes.SELECT });
		expect(JSON.stringify(rows)).not.toContain(keeper.split('=')[1]);
	});
});

describe('signing in', () => {
	it('a session of one’s own choosing is worth nothing, and a new one is given (fixation)', async () => {
		const chosen = 'session=AAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAA';
		const answer = await form('/sign-in?/in', { who: 'JM', passphrase: PASSPHRASE }, { as: chosen });
		expect(cookieOf(answer)).not.toBe(chosen);
		expect((await page('/ledger', chosen)).status).toBe(303);
	});
	it('goes where one wanted to, and to no other site', async () => {
		const go = async (to: string) =>
			(await form(`/sign-in?/in&to=${encodeURIComponent(to)}`, { who: 'Jo Maar', passphrase: PASSPHRASE }))
				.text;
		expect(await go('/moulds?state=active')).toContain('"location":"/moulds?state=active"');
		for (const to of ['https://evil.example/', '//evil.example', '/\\evil.example', 'javascript:alert(1)'])
			expect(await go(to)).toContain('"location":"/"');
	});
	it('does not say whether the name or the passphrase was wrong', async () => {
		await forgiven();
		const says = async (who: string) =>
			JSON.stringify(
				JSON.parse((await form('/sign-in?/in', { who, passphrase: 'wrong words altogether' })).text)
			).replace(who, '');
		expect(await says('Jo Maar')).toBe(await says('Nobody At All'));
	});
	it('brute force is slowed: of sixty tries on two processes few are looked at, and the right one waits too', async () => {
		await forgiven();
		const from = Date.now();
		let looked = 0;
		for (let n = 0; n < 60; n++) {
			const { text } = await form(
				'/sign-in?/in',
				{ who: 'Jo Maar', passphrase: `guess number ${n}` },
				{ on: n % 2 }
			);
			if (/Nobody is known/.test(text)) looked++;
			else expect(text).toMatch(/Too many wrong tries: wait \d+ (s|min)/);
		}
		// four for nothing, then 2, 4, 8, 16 … seconds apart
		expect(looked).toBeLessThanOrEqual(4 + Math.ceil(Math.log2(2 + (Date.now() - from) / 2000)));
		expect((await form('/sign-in?/in', { who: 'jm', passphrase: PASSPHRASE })).text).toMatch(
			/Too many wrong tries/
		);
		await forgiven();
	});
	it('a form of another site is refused though the session is right', async () => {
		const { status } = await ask('/people?/add', {
			method: 'POST',
			as: keeper,
			body: new URLSearchParams({ name: 'Mallory', mark: 'M' }),
			headers: { origin: 'http://evil.example', accept: 'application/json' }
		});
		expect(status).toBe(403);
	});
});

describe('people', () => {
	let makerId = '';
	it('a keeper adds a maker, who chooses a passphrase by the code, once', async () => {
		const { text } = await form(
			'/people?/add',
			{ name: 'Ada Brook', mark: 'ab', right: 'maker' },
			{ as: keeper }
		);
		const code = /[2-9A-Z]{4}-[2-9A-Z]{4}-[2-9A-Z]{4}/.exec(text)![0];
		const chosen = await form(
			'/sign-in/code',
			{ code, passphrase: 'brass lantern under the stairs' },
			{ on: 1 }
		);
		maker = cookieOf(chosen);
		expect((await page('/', maker)).status).toBe(200);
		expect((await form('/sign-in/code', { code, passphrase: 'another lantern of tin' })).text).toMatch(
			/was used/
		);
		makerId = (
			await db().query<{ id: string }>("SELECT id FROM people WHERE mark = 'AB'", { type: QueryTypes.SELECT })
		)[0]!.id;
	});
	it.each([
		[{ name: 'Ada Brook', mark: 'zz' }, /this name already/],
		[{ name: 'Other', mark: 'AB' }, /this mark already/],
		[{ name: '', mark: 'q' }, /Type the name/],
		[{ name: '<b>x</b>', mark: 'q' }, /Letters and spaces do/],
		[{ name: 'Long Mark', mark: 'ABCDE' }, /One to four/]
	])('%j is refused at its field', async (typed, said) => {
		expect(
			(await form('/people?/add', { right: 'maker', ...typed } as Record<string, string>, { as: keeper }))
				.text
		).toMatch(said);
	});
	it('a maker works, and manages nobody', async () => {
		for (const path of ['/people', '/workshop', '/workshop/book.zip', '/settings/instruments'])
			expect((await ask(path, { as: maker })).status, path).toBe(403);
		expect((await form('/people?/right', { id: makerId, right: 'keeper' }, { as: maker })).status).toBe(403);
		expect((await form('/settings?/save', {}, { as: maker })).status).toBe(403);
		expect((await form('/settings?/theme', { theme: 'dark' }, { as: maker })).status).toBe(200);
		expect((await page('/shots/new', maker)).status).toBe(200);
	});
	it('the last keeper cannot be removed, by two at once neither', async () => {
		const [{ id }] = (await db().query<{ id: string }>("SELECT id FROM people WHERE mark = 'JM'", {
			type: QueryTypes.SELECT
		})) as [{ id: string }];
		expect((await form('/people?/leave', { id }, { as: keeper })).text).toMatch(/last keeper/);
		await form('/people?/right', { id: makerId, right: 'keeper' }, { as: keeper });
		// each steps back by a session of their own: whoever comes second is the last
		const both = await Promise.all([
			form('/people?/right', { id, right: 'maker' }, { as: keeper }),
			form('/people?/right', { id: makerId, right: 'maker' }, { as: maker, on: 1 })
		]);
		const rights = await db().query<{ mark: string }>("SELECT mark FROM people WHERE rights = 'keeper'", {
			type: QueryTypes.SELECT
		});
		if (rights[0]?.mark === 'AB') {
			await form('/people?/right', { id, right: 'keeper' }, { as: maker });
			await form('/people?/right', { id: makerId, right: 'maker' }, { as: keeper });
		}
		expect(both.filter((a) => /last keeper/.test(a.text))).toHaveLength(1);
		expect(rights).toHaveLength(1);
	});
	it('another passphrase ends one’s other sessions, and needs the old one', async () => {
		const second = cookieOf(
			await form('/sign-in?/in', { who: 'ab', passphrase: 'brass lantern under the stairs' })
		);
		const change = (old: string) =>
			form('/me?/passphrase', { old, passphrase: 'copper kettle, cold harbour' }, { as: maker });
		expect((await change('wrong')).text).toMatch(/not your passphrase/);
		expect((await page('/', second)).status).toBe(200);
		expect((await change('brass lantern under the stairs')).text).toMatch(/"type":"success"/);
		expect((await page('/', second)).status).toBe(303);
		expect((await page('/', maker)).status).toBe(200);
	});
	it('a session is seen and ended, on every process at once, and a restart ends none', async () => {
		const other = cookieOf(
			await form('/sign-in?/in', { who: 'ab', passphrase: 'copper kettle, cold harbour' }, { on: 1 })
		);
		await again(1);
		expect((await page('/', other, 1)).status).toBe(200);
		expect((await page('/people', keeper)).text).toContain('Ada Brook');
		const [last] = await db().query<{ id: string }>(
			'SELECT id FROM sessions ORDER BY createdAt DESC LIMIT 1',
			{ type: QueryTypes.SELECT }
		);
		await form('/people?/end', { id: last!.id }, { as: keeper });
		for (const on of [0, 1]) expect((await page('/', other, on)).status).toBe(303);
	});
	it('a tablet is paired by a code that is shown once, used once, for five minutes; a forged one opens nothing', async () => {
		const shown = await form('/me?/pair', {}, { as: maker });
		const code = /[2-9A-Z]{4}-[2-9A-Z]{4}-[2-9A-Z]{4}/.exec(shown.text)![0];
		const pair = (typed: string, on = 1) =>
			form('/sign-in/pair', { code: typed, device: 'Bench tablet' }, { on });
		expect((await pair('ABCD-2345-EFGH')).text).toMatch(/This code is none/);
		expect((await pair('')).text).toMatch(/Type the code/);
		const both = await Promise.all([pair(code, 0), pair(code, 1)]);
		const paired = both.filter((a) => a.cookies.some((c) => c.startsWith('session=')));
		expect(paired).toHaveLength(1);
		const tablet = cookieOf(paired[0]!);
		// unused for a month it is signed in all the same, and it is a maker's, no more
		await db().query('UPDATE sessions SET lastUsedAt = NOW() - INTERVAL 30 DAY WHERE paired = 1');
		expect((await page('/', tablet)).status).toBe(200);
		expect((await ask('/people', { as: tablet })).status).toBe(403);
		expect((await page('/people', keeper)).text).toContain('Bench tablet');
		await forgiven();
		expect((await pair(code)).text).toMatch(/was used/);
		const late = /[2-9A-Z]{4}-[2-9A-Z]{4}-[2-9A-Z]{4}/.exec(
			(await form('/me?/pair', {}, { as: maker })).text
		)![0];
		await db().query(
			"UPDATE access_codes SET expiresAt = NOW() - INTERVAL 1 MINUTE WHERE kind = 'pair' AND usedAt IS NULL"
		);
		await forgiven();
		expect((await pair(late)).text).toMatch(/over five minutes old/);
		await forgiven();
	});
	it('a device that is revoked in the middle of a pour may still send what it holds, marked, and nothing since', async () => {
		const [pour] = await listPours({ status: 'open' });
		const tablet = cookieOf(
			await form('/sign-in?/in', { who: 'ab', passphrase: 'copper kettle, cold harbour' })
		);
		const send = (events: object[]) =>
			ask(`/api/pours/${pour!.id}/events`, {
				method: 'POST',
				as: tablet,
				body: JSON.stringify({ events }),
				headers: { 'content-type': 'application/json', accept: 'application/json' }
			});
		const remark = (atMs: number) => ({
			id: randomUUID(),
			atMs,
			kind: 'remark',
			text: 'of a check',
			mark: 'AB'
		});
		const held = remark(Date.now() - 2000);
		const [last] = await db().query<{ id: string; device: string }>(
			'SELECT id, device FROM sessions ORDER BY createdAt DESC LIMIT 1',
			{
				type: QueryTypes.SELECT
			}
		);
		await form('/people?/end', { id: last!.id }, { as: keeper });
		expect((await send([held])).status).toBe(200);
		// on which device it was noted stands with it
		expect((await devicesOf(pour!.id))[held.id]).toBe(last!.device);
		// sent again, as a device does that heard no answer, it is there once
		expect((await send([held])).status).toBe(200);
		expect((await readEvents(pour!.id)).events.filter((e) => e.id === held.id)).toHaveLength(1);
		// together with what happened since, what happened before is taken all the same
		const before = remark(held.atMs + 1);
		const since = remark(Date.now() + 1000);
		expect((await send([before, since])).status).toBe(403);
		const there = (await readEvents(pour!.id)).events.map((e) => e.id);
		expect([there.includes(before.id), there.includes(since.id)]).toEqual([true, false]);
		expect((await ask(`/api/pours/${pour!.id}/events`, { as: tablet })).status).toBe(401);
		expect((await page('/people', keeper)).text).toMatch(/Sent after the session had ended by Ada Brook/);
		await addEvents(
			pour!.id,
			[held, before].map((e) => ({
				id: randomUUID(),
				atMs: Date.now(),
				kind: 'undone' as const,
				eventId: e.id
			}))
		);
	});
	it('signing out ends the session, not only the cookie', async () => {
		const session = cookieOf(
			await form('/sign-in?/in', { who: 'ab', passphrase: 'copper kettle, cold harbour' })
		);
		const out = await form('/sign-in?/out', {}, { as: session });
		expect(out.cookies.some((c) => /^session=;/.test(c))).toBe(true);
		expect((await page('/', session)).status).toBe(303);
	});
	it('who changed what stands in the list, and no secret does', async () => {
		const { text } = await page('/people', keeper);
		expect(text).toMatch(/Somebody new by Jo Maar: Ada Brook/);
		for (const secret of [PASSPHRASE, 'copper kettle', keeper.split('=')[1]!])
			expect(text).not.toContain(secret);
		const book = await (await fetch(`${base}/workshop/book.json`)).text();
		for (const secret of ['argon2id', 'Ada Brook', 'passphraseHash']) expect(book).not.toContain(secret);
	});
});

describe('every route', () => {
	const files = Object.keys(import.meta.glob('/src/routes/**/+{page,server,page.server}.{ts,svelte}'));
	const routes = [
		...new Set(files.map((f) => f.replace('/src/routes', '').replace(/\/\+[^/]+$/, '') || '/'))
	];
	const someId = '00000000-0000-4000-8000-000000000000';
	/** What may be done by whom: more for those further on. */
	const rank: Readonly<Record<May, number>> = { public: 0, instrument: 0, 'signed in': 1, keeper: 2 };

	it('answers nobody, a maker and a keeper as its rule says, whatever the method', async () => {
		expect(new Set(MAY)).toEqual(new Set(Object.keys(rank)));
		for (const route of routes) {
			const path = route.replace(/\[[^\]]+\]/g, someId);
			for (const method of ['GET', 'POST', 'DELETE'])
				for (const [who, as] of [
					[0, ''],
					[1, maker],
					[2, keeper]
				] as const) {
					const init = { method, headers: { accept: 'application/json' }, ...(as ? { as } : {}) };
					// what ends a session or makes things is not tried here
					if (method !== 'GET' && (who === 2 || rank[mayOf(route, method)!] <= who)) continue;
					const { status } = await ask(path, init);
					const may = mayOf(route, method)!;
					const where = `${method} ${route} as ${['nobody', 'maker', 'keeper'][who]}`;
					if (rank[may] <= who) expect([401, 403], where).not.toContain(may === 'instrument' ? 0 : status);
					else expect(status, where).toBe(who === 0 ? 401 : 403);
				}
		}
	}, 240_000);
	it('a token of an instrument opens its own route and no other, and nothing once it is revoked', async () => {
		const { id, token } = await addInstrument({ kind: 'scale', name: 'Scale of a check' });
		const send = (path: string, body: object) =>
			ask(path, {
				method: 'POST',
				body: JSON.stringify(body),
				headers: { authorization: `Bearer ${token}`, 'content-type': 'application/json' }
			});
		expect((await send('/api/instruments/reading', { value: 12 })).status).toBe(200);
		for (const path of ['/api/calc/mix', '/api/photos', `/api/pours/${someId}/events`, '/people?/add'])
			expect((await send(path, {})).status, path).toBe(401);
		await revokeInstrument(id);
		expect((await send('/api/instruments/reading', { value: 12 })).status).toBe(401);
	});
	it('what does not exist is told to nobody', async () => {
		expect((await page('/nothing-here')).status).toBe(303);
		expect((await page('/nothing-here', maker)).status).toBe(404);
		expect((await ask('/.git/config')).status).toBe(401);
	});
	it('asked without end it says to wait, to that one alone', async () => {
		const answers = await Promise.all(
			Array.from({ length: 900 }, () => ask('/api/clocks', { as: 'session=nobody' }))
		);
		expect(new Set(answers.map((a) => a.status))).toEqual(new Set([401, 429]));
		expect(answers.find((a) => a.status === 429)!.text).toMatch(/too often/);
		expect((await ask('/api/clocks', { as: keeper })).status).toBe(200);
	});
});
