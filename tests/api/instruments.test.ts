import { randomUUID } from 'node:crypto';
import { beforeAll, describe, expect, it } from 'vitest';
import { base, get, post, sendForm } from './http';

let token = '';
let id = '';
const name = `Bench gun ${Date.now() % 100_000}`;
const reading = (body: unknown, bearer = token) =>
	post('/api/instruments/reading', body, bearer ? { authorization: `Bearer ${bearer}` } : {});

/** The first readings that a stream of devices tells. */
async function firstOf(pourId: string) {
	const answer = await fetch(`${base}/api/pours/${pourId}/devices`);
	expect(answer.headers.get('content-type')).toContain('text/event-stream');
	const text = new TextDecoder();
	const reader = answer.body!.getReader();
	for (let heard = ''; ;) {
		const { done, value } = await reader.read();
		if (done) throw new Error('the stream ended without a word');
		heard += text.decode(value, { stream: true });
		const data = /data: (.*)\n\n/.exec(heard)?.[1];
		if (!data) continue;
		await reader.cancel();
		return JSON.parse(data) as { device: string; value: number; ageMs: number; instrument: string }[];
	}
}

const openPour = async () => {
	const { json } = await get('/api/clocks');
	return json.clocks
		.find((c: { kind: string }) => c.kind === 'cure')
		.href.split('/')
		.pop() as string;
};

beforeAll(async () => {
	const { text } = await sendForm('/settings/instruments?/add', [
		['__superform_json', JSON.stringify([{ kind: 1, name: 2 }, 'infraredThermometer', name])]
	]);
	token = /[\w-]{32}/.exec(JSON.parse(text).data)![0];
	expect(token).toHaveLength(32);
});

describe('an instrument over HTTP', () => {
	it('posts its reading with its token, and every bench hears it with its age and its name', async () => {
		expect((await reading({ value: 27.5 })).status).toBe(200);
		const heard = (await firstOf(await openPour())).find((r) => r.instrument === name)!;
		expect(heard).toMatchObject({ device: 'infraredThermometer', value: 27.5 });
		expect(heard.ageMs).toBeGreaterThanOrEqual(0);
		expect(heard.ageMs).toBeLessThan(60_000);
	});
	it.each([
		['no token', { value: 20 }, '', 401],
		['a wrong one', { value: 20 }, 'x'.repeat(32), 401],
		['no number', { value: 'warm' }, undefined, 422],
		['a number that cannot be', { value: 1e12 }, undefined, 422],
		['what nobody asked for', { value: 20, stir: true }, undefined, 422],
		['nothing', '', undefined, 422]
	])('is refused with %s, in a sentence', async (_what, body, bearer, status) => {
		const answer = await reading(body, bearer ?? token);
		expect(answer.status).toBe(status);
		expect(answer.json.errors[0].message.length).toBeGreaterThan(10);
	});
	it('zeroing takes what stands on a scale off its readings', async () => {
		const { text } = await sendForm('/settings/instruments?/add', [
			['__superform_json', JSON.stringify([{ kind: 1, name: 2 }, 'scale', `${name} scale`])]
		]);
		const scale = /[\w-]{32}/.exec(JSON.parse(text).data)![0];
		const pourId = await openPour();
		const shown = async () => (await firstOf(pourId)).find((r) => r.device === 'scale')?.value;
		await reading({ value: 40, settled: true }, scale);
		expect(await shown()).toBe(40);
		const zero = { id: randomUUID(), atMs: Date.now(), kind: 'zero' };
		expect((await post(`/api/pours/${pourId}/devices`, { commands: [zero] })).status).toBe(200);
		expect(await shown()).toBe(0);
		await reading({ value: 65.5 }, scale);
		expect(await shown()).toBeCloseTo(25.5, 9);
	});
	it('taken out of use, it is silent and its token is good for nothing', async () => {
		const page = (await get('/settings/instruments')).text;
		// the newest of each name: forms on the page carry the ids
		for (const [, found] of page.matchAll(/name="id" value="([0-9a-f-]{36})"/g)) {
			id = found!;
			expect((await sendForm('/settings/instruments?/revoke', [['id', id]])).status).toBe(200);
		}
		expect(id).not.toBe('');
		expect((await reading({ value: 20 })).status).toBe(401);
		expect(await firstOf(await openPour())).toEqual([]);
	});
	it('a bad name or kind is said at its field', async () => {
		const { text } = await sendForm('/settings/instruments?/add', [
			['__superform_json', JSON.stringify([{ kind: 1, name: 2 }, 'camera', ''])]
		]);
		expect(text).toMatch(/Choose what it reads/);
		expect(text).toMatch(/Give it a name/);
	});
});
