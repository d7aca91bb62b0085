import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { benchSteps, withSteps, type PourEvent } from '$lib/core/bench';
import type { EventStore } from './eventStore';
import { PourRun } from './pourRun.svelte';
import { planOf } from '$lib/core/bench/plan.testing';

const plan = planOf({
	moulds: [{ id: 'm', number: 1, label: 'Whelk', copies: 1 }],
	pot: undefined,
	steps: [
		{ name: 'Mix', durationS: 40, role: 'mix' },
		{ name: 'Pour', durationS: 20, role: 'pour' }
	]
});

/** A server that keeps what it is sent, and can be away, refuse, or know more than this device. */
class Server {
	kept = new Map<string, PourEvent>();
	away = false;
	refusing = '';
	/** Its clock before the device's, ms. */
	aheadMs = 0;
	/** Refuses any post that holds such an event, as a schema does. */
	bad: ((e: PourEvent) => boolean) | undefined;
	most = 500;
	posts = 0;
	readonly fetch = vi.fn(async (url: string, init?: RequestInit): Promise<Response> => {
		if (this.away) throw new TypeError('no network');
		if (init?.method === 'POST') {
			this.posts++;
			if (this.refusing)
				return Response.json({ errors: [{ path: '', message: this.refusing }] }, { status: 422 });
			const { events } = JSON.parse(String(init.body)) as { events: PourEvent[] };
			if (events.length > this.most || events.some((e) => this.bad?.(e)))
				return Response.json(
					{ errors: [{ path: 'events', message: 'This cannot be read.' }] },
					{ status: 422 }
				);
			for (const e of events) this.kept.set(e.id, e);
			return Response.json({ state: {} });
		}
		const after = Number(new URL(url, 'http://x').searchParams.get('after'));
		const all = [...this.kept.values()];
		return Response.json({ events: all.slice(after), lastSeq: all.length, nowMs: Date.now() + this.aheadMs });
	});
}

/** A device's own database that survives the page. */
function memoryStore(): EventStore & { rows: Map<string, PourEvent>; broken: boolean } {
	const rows = new Map<string, PourEvent>();
	const known = new Map<string, object[]>();
	return {
		rows,
		broken: false,
		async add(_id, event) {
			if (this.broken) throw new Error('a private window keeps nothing');
			rows.set(event.id, event as PourEvent);
		},
		async pending<E>() {
			if (this.broken) throw new Error('a private window keeps nothing');
			return [...rows.values()] as E[];
		},
		async confirmed(ids) {
			for (const id of ids) rows.delete(id);
		},
		async waiting() {
			if (this.broken) throw new Error('a private window keeps nothing');
			return [...rows.values()].map((event) => ({ ownerId: 'p', url: '/api/pours/p/events', event }));
		},
		async remember(id, events) {
			known.set(id, [...events]);
		},
		async remembered<E>(id: string) {
			if (this.broken) throw new Error('a private window keeps nothing');
			return (known.get(id) ?? []) as E[];
		}
	};
}

let server: Server;
let stops: (() => void)[] = [];
const start = (
	store: EventStore,
	known: { events: PourEvent[]; lastSeq: number } = { events: [], lastSeq: 0 }
) => {
	const run = new PourRun('p', withSteps(plan), known);
	stops.push(run.start(store));
	return run;
};
const settle = () => vi.advanceTimersByTimeAsync(2500);

beforeEach(() => {
	vi.useFakeTimers({ now: 1.79e12 });
	server = new Server();
	vi.stubGlobal('fetch', server.fetch);
	vi.stubGlobal('window', new EventTarget());
	vi.stubGlobal('Event', Event);
});
afterEach(() => {
	stops.forEach((stop) => stop());
	stops = [];
	vi.useRealTimers();
	vi.unstubAllGlobals();
});

describe('work at the bench as one device knows it', () => {
	it('a press is on screen at once, before any answer', () => {
		const run = start(memoryStore());
		const first = benchSteps(plan)[0]!.id;
		run.record({ kind: 'step-done', stepId: first });
		expect(run.state.doneAtMs[first]).toBe(1.79e12);
		expect(run.state.current).toBe(1);
		expect(run.unsent).toBe(1);
	});

	it('several things noted by one press keep their order, a millisecond apart', () => {
		const run = start(memoryStore());
		run.record(
			{ kind: 'temp-read', tempC: 25, source: 'typed' },
			{ kind: 'step-done', stepId: 'look' },
			{ kind: 'finished' }
		);
		expect(run.state.status).toBe('finished');
		expect(run.state.endedAtMs! - run.state.doneAtMs['look']!).toBe(1);
	});

	it('without a network everything is kept here, and arrives later, once', async () => {
		const store = memoryStore();
		const run = start(store);
		server.away = true;
		run.record({ kind: 'step-done', stepId: 'look' });
		run.record({ kind: 'step-done', stepId: 'air' });
		await settle();
		expect(server.kept.size).toBe(0);
		expect(store.rows.size).toBe(2);
		expect(run.unsent).toBe(2);
		server.away = false;
		await settle();
		expect(server.kept.size).toBe(2);
		expect(store.rows.size).toBe(0);
		expect(run.unsent).toBe(0);
		const posts = server.posts;
		await settle();
		expect(server.posts).toBe(posts);
	});

	it('knows by how much its clock is off after an answer, and tells the server its own time with what it sends', async () => {
		const run = start(memoryStore());
		server.aheadMs = 125_000;
		run.record({ kind: 'step-done', stepId: 'look' });
		await settle();
		expect(run.clockOffMs).toBeGreaterThan(124_000);
		expect(run.clockOffMs).toBeLessThan(126_000);
		const post = server.fetch.mock.calls.find(([, init]) => init?.method === 'POST')!;
		expect(JSON.parse(String(post[1]!.body))).toMatchObject({ sentAtMs: expect.any(Number) });
	});

	it('a line that is dead without a word holds nothing up for ever', async () => {
		vi.stubGlobal('AbortSignal', {
			timeout: (ms: number) => {
				const c = new AbortController();
				setTimeout(() => c.abort(), ms);
				return c.signal;
			}
		});
		const answered = server.fetch;
		vi.stubGlobal(
			'fetch',
			(_url: string, init?: RequestInit) =>
				new Promise((_, fail) => init!.signal!.addEventListener('abort', () => fail(new Error('given up'))))
		);
		const run = start(memoryStore());
		run.record({ kind: 'step-done', stepId: 'look' });
		await settle();
		vi.stubGlobal('fetch', answered);
		await settle();
		expect(run.unsent).toBe(1);
		await vi.advanceTimersByTimeAsync(15_000);
		expect(server.kept.size).toBe(1);
		expect(run.unsent).toBe(0);
	});

	it('a closed browser loses nothing: the next page finds it in the device and sends it', async () => {
		const store = memoryStore();
		server.away = true;
		start(store).record({ kind: 'step-done', stepId: 'look' });
		await settle();
		stops.forEach((stop) => stop());
		stops = [];
		server.away = false;
		const again = start(store);
		await settle();
		expect(again.state.doneAtMs['look']).toBe(1.79e12);
		expect(server.kept.size).toBe(1);
	});

	it('a page that is opened without the server stands where the work stood, not where the page was kept', async () => {
		const store = memoryStore();
		const first = start(store);
		first.record({ kind: 'step-done', stepId: 'look' });
		await settle();
		const other = start(memoryStore());
		other.record({ kind: 'temp-read', tempC: 24, source: 'typed' });
		await settle();
		await settle();
		first.record({ kind: 'step-done', stepId: 'air' });
		await settle();
		expect([store.rows.size, server.kept.size]).toEqual([0, 3]);
		stops.forEach((stop) => stop());
		stops = [];
		// the kept page knows nothing, and nobody can be asked
		server.away = true;
		const again = start(store);
		await settle();
		expect(Object.keys(again.state.doneAtMs).sort()).toEqual(['air', 'look']);
		again.record({ kind: 'step-done', stepId: 'shake' });
		await settle();
		server.away = false;
		await settle();
		expect(server.kept.size).toBe(4);
		expect([again.unsent, again.state.doneAtMs['shake']]).toEqual([0, expect.any(Number)]);
	});

	it('what the server took just before it died is remembered, though it could not be asked again', async () => {
		const store = memoryStore();
		const run = start(store);
		await settle();
		const real = server.fetch.getMockImplementation()!;
		server.fetch.mockImplementation(async (url, init) => {
			const answer = await real(url, init);
			if (init?.method === 'POST') server.away = true;
			return answer;
		});
		run.record({ kind: 'step-done', stepId: 'look' });
		await settle();
		expect([server.kept.size, store.rows.size, server.away]).toEqual([1, 0, true]);
		stops.forEach((stop) => stop());
		stops = [];
		const again = start(store);
		await settle();
		expect(again.state.doneAtMs['look']).toBe(1.79e12 + 2500);
	});

	it('a workshop that was brought back to an earlier day is believed, and what waits is not thrown away', async () => {
		const store = memoryStore();
		const first = start(store);
		first.record({ kind: 'step-done', stepId: 'look' });
		first.record({ kind: 'step-done', stepId: 'air' });
		await settle();
		stops.forEach((stop) => stop());
		stops = [];
		const look = [...server.kept.values()].find((e) => e.kind === 'step-done' && e.stepId === 'look')!;
		server.kept = new Map([[look.id, look]]);
		server.away = true;
		const again = start(store);
		again.record({ kind: 'remark', text: 'meanwhile' });
		await settle();
		expect(Object.keys(again.state.doneAtMs).sort()).toEqual(['air', 'look']);
		server.away = false;
		await settle();
		await settle();
		expect(Object.keys(again.state.doneAtMs)).toEqual(['look']);
		expect([...server.kept.values()].map((e) => e.kind)).toEqual(['step-done', 'remark']);
	});

	it('a browser that keeps no database still sends, as long as the page lives', async () => {
		const store = memoryStore();
		store.broken = true;
		server.away = true;
		const run = start(store);
		run.record({ kind: 'step-done', stepId: 'look' });
		await settle();
		expect(run.unsent).toBe(1);
		server.away = false;
		await settle();
		expect(server.kept.size).toBe(1);
		expect(run.unsent).toBe(0);
	});

	it('what another device noted appears here, and counts once', async () => {
		const run = start(memoryStore());
		const other = start(memoryStore());
		other.record({ kind: 'step-done', stepId: 'look' });
		await settle();
		await settle();
		expect(run.state.current).toBe(1);
		run.record({ kind: 'step-done', stepId: 'look' });
		await settle();
		expect(run.state.current).toBe(1);
	});

	it('a refusal is said and what was noted is still here; once it is taken, the sentence goes', async () => {
		const store = memoryStore();
		const run = start(store);
		server.refusing = 'The clock of this device is years off.';
		run.record({ kind: 'step-done', stepId: 'look' });
		await settle();
		expect(run.refused).toBe('The clock of this device is years off.');
		expect(store.rows.size).toBe(1);
		server.refusing = '';
		await settle();
		expect(run.refused).toBe('');
		expect(server.kept.size).toBe(1);
	});

	it('a long time without a network: more than the server takes at once arrives all the same, each once', async () => {
		const run = start(memoryStore());
		server.away = true;
		for (let i = 0; i < 730; i++) {
			run.record({ kind: 'temp-read', tempC: 20 + i / 100, source: 'typed' });
			vi.setSystemTime(Date.now() + 10_000);
		}
		await settle();
		expect(run.unsent).toBe(730);
		server.away = false;
		await settle();
		expect(server.kept.size).toBe(730);
		expect(run.unsent).toBe(0);
		// the oldest first, as they happened
		const at = [...server.kept.values()].map((e) => e.atMs);
		expect(at).toEqual([...at].sort((a, b) => a - b));
	});

	it('one event that the server refuses holds up none of the others, and is not lost', async () => {
		const store = memoryStore();
		const run = start(store);
		server.bad = (e) => e.kind === 'remark';
		server.away = true;
		run.record({ kind: 'step-done', stepId: 'look' });
		run.record({ kind: 'remark', text: 'x' });
		run.record({ kind: 'step-done', stepId: 'air' });
		await settle();
		server.away = false;
		await settle();
		expect([...server.kept.values()].map((e) => e.kind)).toEqual(['step-done', 'step-done']);
		expect(run.refused).toBe('This cannot be read.');
		expect(run.unsent).toBe(1);
		expect([...store.rows.values()].map((e) => e.kind)).toEqual(['remark']);
		// what follows goes through at once
		run.record({ kind: 'step-done', stepId: 'shake' });
		await settle();
		expect(server.kept.size).toBe(3);
		// and once the server can read it, it arrives
		server.bad = undefined;
		await settle();
		expect(server.kept.size).toBe(4);
		expect([run.refused, run.unsent]).toEqual(['', 0]);
	});

	it('a pour that is gone is said; a server that stumbles is asked again', async () => {
		const run = start(memoryStore());
		const real = server.fetch.getMockImplementation()!;
		server.fetch.mockImplementation(async (url, init) =>
			init?.method === 'POST'
				? Response.json({ errors: [{ path: '', message: 'There is no such pour.' }] }, { status: 404 })
				: real(url, init)
		);
		run.record({ kind: 'step-done', stepId: 'look' });
		await settle();
		expect([run.refused, run.unsent]).toEqual(['There is no such pour.', 1]);
		server.fetch.mockImplementation(async (url, init) =>
			init?.method === 'POST' ? new Response('down', { status: 502 }) : real(url, init)
		);
		run.record({ kind: 'step-done', stepId: 'air' });
		await settle();
		expect(run.unsent).toBe(2);
		server.fetch.mockImplementation(real);
		await settle();
		expect([server.kept.size, run.refused, run.unsent]).toEqual([2, '', 0]);
	});

	it('back takes the last step back for every device', async () => {
		const run = start(memoryStore());
		run.record({ kind: 'step-done', stepId: 'look' });
		run.record({ kind: 'undone', eventId: run.state.lastUndoable! });
		expect(run.state.current).toBe(0);
		await settle();
		const late = start(memoryStore());
		await settle();
		expect(late.state.current).toBe(0);
		expect(server.kept.size).toBe(2);
	});

	it('begins with what the server knew when the page was made', () => {
		const known: PourEvent = {
			id: '00000000-0000-4000-8000-000000000001',
			atMs: 1.78e12,
			kind: 'step-done',
			stepId: 'look'
		};
		const run = start(memoryStore(), { events: [known], lastSeq: 1 });
		expect(run.state.current).toBe(1);
		expect(run.current!.id).toBe(benchSteps(plan)[1]!.id);
	});
});
