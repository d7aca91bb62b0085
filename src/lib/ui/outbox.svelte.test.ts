import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { atHand } from './eventPost';
import type { EventStore, Waiting } from './eventStore';
import { benchOf, Outbox } from './outbox.svelte';

const POUR = '/api/pours/p1/events';
const MAKING = '/api/makings/m1/events';
const event = (n: number) => ({ id: `${n}`, atMs: 1.79e12 + n });

/** What a device holds back, without a browser. */
function holding(rows: Waiting[]): EventStore & { rows: Waiting[] } {
	return {
		rows,
		add: async () => {},
		pending: async () => [],
		async waiting() {
			return [...this.rows];
		},
		async confirmed(ids) {
			this.rows = this.rows.filter((w) => !ids.includes(w.event.id));
		},
		remember: async () => {},
		remembered: async () => []
	};
}

const server = {
	away: false,
	refuses: (_url: string, _ids: string[]): string => '',
	got: [] as [string, string[]][]
};
let stop = () => {};
const settle = () => vi.advanceTimersByTimeAsync(4500);

beforeEach(() => {
	vi.useFakeTimers({ now: 1.79e12 });
	vi.stubGlobal('window', new EventTarget());
	Object.assign(server, { away: false, refuses: () => '', got: [] });
	vi.stubGlobal('fetch', async (url: string, init: RequestInit) => {
		if (server.away) throw new TypeError('no network');
		const ids = (JSON.parse(String(init.body)) as { events: { id: string }[] }).events.map((e) => e.id);
		const said = server.refuses(url, ids);
		if (said) return Response.json({ errors: [{ path: '', message: said }] }, { status: 422 });
		server.got.push([url, ids]);
		return Response.json({});
	});
});
afterEach(() => {
	stop();
	atHand.clear();
	vi.useRealTimers();
	vi.unstubAllGlobals();
});

describe('what earlier pages of this device could not send', () => {
	it('goes out from whatever page is open, each to where it belongs, the oldest first', async () => {
		const store = holding([
			{ ownerId: 'p1', url: POUR, event: event(2) },
			{ ownerId: 'm1', url: MAKING, event: event(3) },
			{ ownerId: 'p1', url: POUR, event: event(1) }
		]);
		const outbox = new Outbox();
		stop = outbox.start(store);
		await settle();
		expect(server.got).toEqual([
			[POUR, ['1', '2']],
			[MAKING, ['3']]
		]);
		expect(store.rows).toEqual([]);
		expect(outbox.unsent).toEqual([]);
	});

	it('waits while the server is away, and says how much waits for which work', async () => {
		const store = holding([
			{ ownerId: 'p1', url: POUR, event: event(1) },
			{ ownerId: 'm1', url: MAKING, event: event(2) },
			{ ownerId: 'm1', url: MAKING, event: event(3) }
		]);
		server.away = true;
		const outbox = new Outbox();
		stop = outbox.start(store);
		await settle();
		expect(outbox.unsent.map((u) => [u.href, u.count])).toEqual([
			['/pour/p1', 1],
			['/moulds/m1/make', 2]
		]);
		server.away = false;
		await settle();
		expect(outbox.unsent).toEqual([]);
		expect(server.got.flatMap(([, ids]) => ids)).toEqual(['1', '2', '3']);
	});

	it('leaves alone what an open page sends by itself', async () => {
		const store = holding([{ ownerId: 'p1', url: POUR, event: event(1) }]);
		atHand.add('p1');
		const outbox = new Outbox();
		stop = outbox.start(store);
		await settle();
		expect([server.got, outbox.unsent]).toEqual([[], []]);
		atHand.delete('p1');
		await settle();
		expect(server.got).toEqual([[POUR, ['1']]]);
	});

	it('what is refused is said, holds up none of the others, and can be put away as a file', async () => {
		const store = holding([1, 2, 3].map((n) => ({ ownerId: 'p1', url: POUR, event: event(n) })));
		server.refuses = (_url, ids) => (ids.includes('2') ? 'This cannot be read.' : '');
		const outbox = new Outbox();
		stop = outbox.start(store);
		await settle();
		expect(server.got.map(([, ids]) => ids)).toEqual([['1'], ['3']]);
		expect(outbox.unsent).toEqual([
			{ ownerId: 'p1', href: '/pour/p1', count: 1, refused: 'This cannot be read.' }
		]);
		const file = await outbox.putAway('p1', store);
		expect((JSON.parse(await file.text()) as Waiting[]).map((w) => w.event.id)).toEqual(['2']);
		expect([outbox.unsent, store.rows]).toEqual([[], []]);
	});

	it('a browser that keeps nothing has nothing to send', async () => {
		const store = holding([]);
		store.waiting = async () => Promise.reject(new Error('a private window keeps nothing'));
		const outbox = new Outbox();
		stop = outbox.start(store);
		await settle();
		expect([server.got, outbox.unsent]).toEqual([[], []]);
	});

	it('knows the page of a pour and of a mould', () => {
		expect(benchOf(POUR)).toBe('/pour/p1');
		expect(benchOf(MAKING)).toBe('/moulds/m1/make');
	});
});
