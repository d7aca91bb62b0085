import { stringify } from 'devalue';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { PinRun, STEP_MS } from './pinRun.svelte';

vi.mock('$app/forms', async () => {
	const { parse } = await import('devalue');
	return {
		deserialize: (text: string) => {
			const result = JSON.parse(text) as { data?: string };
			return result.data === undefined ? result : { ...result, data: parse(result.data) as unknown };
		}
	};
});

const AT = Date.UTC(2026, 10, 30, 9, 15);
let sent: Record<string, string>[] = [];
let answer: () => Promise<Response> | Response;
const said = (type: string, data?: object, status = 200) =>
	Response.json({ type, status, ...(data && { data: stringify(data) }) });
let done = 0;
let run: PinRun;
beforeEach(() => {
	sent = [];
	done = 0;
	run = new PinRun(async () => done++);
	vi.stubGlobal('fetch', async (url: string, init: RequestInit) => {
		sent.push({ url, ...Object.fromEntries([...(init.body as FormData)].map(([k, v]) => [k, String(v)])) });
		return answer();
	});
});
afterEach(() => vi.unstubAllGlobals());

describe('a bar of the board', () => {
	it('is being moved from the press on, before it has moved: nothing is asked for anew beneath the finger', () => {
		run.pick('l1/1/cast');
		expect(run.isMoving).toBe(false);
		run.heldId = 'l1/1/cast';
		expect(run.isMoving).toBe(true);
		run.pick('l1/2/cast');
		expect(run.isMoving).toBe(false);
	});

	it('moves by quarters of an hour under the keys, and stands still again once another is picked', () => {
		run.pick('l1/1/cast');
		run.step(1);
		run.step(1);
		run.step(-3);
		expect(run.byMs).toBe(-STEP_MS);
		expect(run.isMoving).toBe(true);
		run.pick('l1/1/cast');
		expect(run.byMs).toBe(-STEP_MS);
		run.pick('l1/2/cast');
		expect([run.byMs, run.isMoving, run.said]).toEqual([0, false, undefined]);
	});

	it('is put to a whole minute, and what else moves is said', async () => {
		answer = () => said('success', { words: ['M5 is poured 20 min later.'] });
		run.pick('l1/1/cast');
		run.step(2);
		await run.put('l1/1/cast', AT + 31_000);
		expect(sent).toEqual([{ url: '?/pin', id: 'l1/1/cast', startMs: String(AT + 60_000) }]);
		expect(run.said).toEqual({ refused: false, lines: ['M5 is poured 20 min later.'] });
		expect([done, run.byMs, run.busy]).toEqual([1, 0, false]);
	});

	it('let go it sends no time; nothing else moves is said as such', async () => {
		answer = () => said('success', { words: [] });
		await run.put('l1/1/cast', null);
		expect(sent[0]!['startMs']).toBe('');
		expect(run.said).toEqual({ refused: false, lines: ['Nothing else moves.'] });
	});

	it('refused, it goes back to where it stood, with the reason; nothing is read anew', async () => {
		answer = () => said('failure', { refused: 'It cannot go there: nobody works then.' }, 400);
		run.step(4);
		await run.put('l1/1/cast', AT);
		expect(run.said).toEqual({ refused: true, lines: ['It cannot go there: nobody works then.'] });
		expect([done, run.byMs]).toEqual([0, 0]);
	});

	it.each([
		['the network is gone', () => Promise.reject(new TypeError('no network')), /does not answer/],
		['the answer is a page of something else', () => new Response('<html>'), /does not answer/],
		['the server stumbled', () => said('error', undefined, 500), /not kept/]
	])('%s: said, and it is where it stood', async (_what, reply, words) => {
		answer = reply;
		run.step(1);
		await run.put('l1/1/cast', AT);
		expect(run.said!.refused).toBe(true);
		expect(run.said!.lines[0]).toMatch(words);
		expect([run.byMs, run.busy, done]).toEqual([0, false, 0]);
	});

	it('pressed again before the answer came, it is sent once', async () => {
		let reply = (_: Response) => {};
		answer = () => new Promise<Response>((resolve) => (reply = resolve));
		const first = run.put('l1/1/cast', AT);
		await run.put('l1/1/cast', AT + STEP_MS);
		expect(run.isMoving).toBe(true);
		reply(said('success', { words: [] }));
		await first;
		expect(sent).toHaveLength(1);
	});
});
