import { flushSync } from 'svelte';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { SILENT_AFTER_S, type DeviceCommand, type DeviceReading } from '$lib/core/devices';
import { Devices, serverDevices, type DeviceSource } from './devices.svelte';

const T0 = 1.79e12;
const kept = new Map<string, string>();

/** A stream of server-sent events as the browser has it. */
class Stream {
	static all: Stream[] = [];
	static CLOSED = 2;
	readyState = 1;
	onmessage: ((m: { data: unknown }) => void) | undefined;
	closed = false;
	constructor(readonly url: string) {
		Stream.all.push(this);
	}
	close() {
		this.closed = true;
		this.readyState = Stream.CLOSED;
	}
}

beforeEach(() => {
	vi.useFakeTimers({ now: T0 });
	vi.stubGlobal('localStorage', {
		getItem: (k: string) => kept.get(k) ?? null,
		setItem: (k: string, v: string) => void kept.set(k, v)
	});
	vi.stubGlobal('EventSource', Stream);
	kept.clear();
	Stream.all = [];
});
afterEach(() => {
	vi.useRealTimers();
	vi.unstubAllGlobals();
});

describe('devices of a pour on the server', () => {
	/** What the server was sent; it may be away, or refuse. */
	function server() {
		const seen: DeviceCommand[][] = [];
		const answer = { away: false, status: 200 };
		vi.stubGlobal('fetch', async (_url: string, init: RequestInit) => {
			if (answer.away) throw new TypeError('no network');
			if (answer.status === 200)
				seen.push((JSON.parse(String(init.body)) as { commands: DeviceCommand[] }).commands);
			return new Response('{}', { status: answer.status });
		});
		return { seen, answer };
	}
	const command = (n: number): DeviceCommand => ({
		id: `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`,
		atMs: T0,
		kind: 'zero'
	});

	it('hears readings, passes over what is no reading, and stops listening when it is told to', () => {
		server();
		const heard: (readonly DeviceReading[])[] = [];
		const stop = serverDevices('p7', () => Date.now()).open((r) => heard.push(r));
		const [stream] = Stream.all;
		expect(stream!.url).toBe('/api/pours/p7/devices');
		stream!.onmessage!({ data: JSON.stringify([{ device: 'scale', ageMs: 300, value: 12 }]) });
		stream!.onmessage!({ data: '[{"device":"sca' });
		expect(heard).toEqual([[{ device: 'scale', atMs: Date.now() - 300, value: 12 }]]);
		stop();
		expect(stream!.closed).toBe(true);
		expect(vi.getTimerCount()).toBe(0);
	});

	it('a stream that ended for good, or says nothing, is opened anew; one that speaks is left alone', async () => {
		server();
		const heard: number[] = [];
		const stop = serverDevices('p', () => Date.now()).open((r) => heard.push(r[0]!.value));
		const speak = (stream: Stream, value: number) =>
			stream.onmessage!({ data: JSON.stringify([{ device: 'infraredThermometer', ageMs: 0, value }]) });
		for (let s = 0; s < 30; s++) {
			speak(Stream.all[0]!, s);
			await vi.advanceTimersByTimeAsync(1000);
		}
		expect(Stream.all).toHaveLength(1);
		// the answer was that of a server whose database is away: the browser does not try again
		Stream.all[0]!.readyState = Stream.CLOSED;
		await vi.advanceTimersByTimeAsync(1000);
		expect(Stream.all).toHaveLength(2);
		speak(Stream.all[1]!, 99);
		expect(heard.at(-1)).toBe(99);
		// a line that is dead without a word
		await vi.advanceTimersByTimeAsync(9000);
		expect(Stream.all).toHaveLength(2);
		await vi.advanceTimersByTimeAsync(2000);
		expect(Stream.all).toHaveLength(3);
		expect(Stream.all.map((s) => s.closed)).toEqual([true, true, false]);
		stop();
		await vi.advanceTimersByTimeAsync(60_000);
		expect(Stream.all).toHaveLength(3);
		expect(Stream.all.at(-1)!.closed).toBe(true);
	});

	it('a request that is never answered does not stop the sending for ever', async () => {
		const seen: string[] = [];
		let hangs = true;
		vi.stubGlobal('AbortSignal', {
			timeout: (ms: number) => {
				const c = new AbortController();
				setTimeout(() => c.abort(), ms);
				return c.signal;
			}
		});
		vi.stubGlobal('fetch', (_url: string, { body, signal }: RequestInit) =>
			hangs
				? new Promise((_, fail) => signal!.addEventListener('abort', () => fail(new Error('given up'))))
				: (seen.push(String(body)), Promise.resolve(new Response('{}')))
		);
		const devices = serverDevices('p', () => Date.now());
		const stop = devices.open(() => {});
		devices.send(command(1));
		await vi.advanceTimersByTimeAsync(5000);
		hangs = false;
		await vi.advanceTimersByTimeAsync(5000);
		expect(seen).toEqual([]);
		await vi.advanceTimersByTimeAsync(8000);
		expect(seen).toHaveLength(1);
		stop();
	});

	it('commands of a time without a network arrive later, each once, in their order', async () => {
		const { seen, answer } = server();
		const devices = serverDevices('p', () => Date.now());
		const stop = devices.open(() => {});
		answer.away = true;
		for (let n = 0; n < 70; n++) devices.send(command(n));
		await vi.advanceTimersByTimeAsync(3000);
		expect(seen).toEqual([]);
		answer.away = false;
		await vi.advanceTimersByTimeAsync(3000);
		expect(seen.flat().map((c) => c.id)).toEqual(Array.from({ length: 70 }, (_, n) => command(n).id));
		// no more at once than the server takes
		expect(Math.max(...seen.map((s) => s.length))).toBeLessThanOrEqual(50);
		await vi.advanceTimersByTimeAsync(5000);
		expect(seen.flat()).toHaveLength(70);
		stop();
	});

	it('a server that stumbles is asked again; what it refuses is not sent for ever', async () => {
		const { seen, answer } = server();
		const devices = serverDevices('p', () => Date.now());
		const stop = devices.open(() => {});
		answer.status = 503;
		devices.send(command(1));
		await vi.advanceTimersByTimeAsync(2500);
		answer.status = 200;
		await vi.advanceTimersByTimeAsync(1500);
		expect(seen.flat().map((c) => c.id)).toEqual([command(1).id]);
		answer.status = 422;
		devices.send(command(2));
		await vi.advanceTimersByTimeAsync(1500);
		answer.status = 200;
		await vi.advanceTimersByTimeAsync(3000);
		expect(seen.flat()).toHaveLength(1);
		stop();
	});
});

describe('what the devices at this bench say', () => {
	let says: (readings: readonly DeviceReading[]) => void = () => {};
	let opened = 0;
	let told: DeviceCommand[] = [];
	const source: DeviceSource = {
		open(heard) {
			opened++;
			says = (readings) => {
				heard(readings);
				flushSync();
			};
			return () => (says = () => {});
		},
		send: (c) => void told.push(c)
	};
	const reads = (device: DeviceReading['device'], value: number, more: object = {}) =>
		says([{ device, atMs: Date.now(), value, ...more }]);
	const make = () => new Devices(source, () => Date.now(), { scale: 3000 });
	beforeEach(() => {
		opened = 0;
		told = [];
	});

	it('nothing is listened to unless it was switched on here before', () => {
		const devices = make();
		devices.start();
		expect([devices.on, opened, devices.state('scale')]).toEqual([false, 0, 'off']);
		devices.toggle();
		expect([devices.on, opened, kept.get('devices')]).toEqual([true, 1, 'on']);
		const again = make();
		again.start();
		expect(again.on).toBe(true);
		again.toggle();
		expect([again.on, kept.get('devices')]).toEqual([false, 'off']);
	});

	it('a reading is live, then silent when nothing follows, and live again', () => {
		const devices = make();
		devices.start(true);
		expect(devices.state('scale')).toBe('waiting');
		reads('scale', 120, { settled: true });
		expect(devices.live('scale')?.value).toBe(120);
		vi.setSystemTime(Date.now() + (SILENT_AFTER_S + 1) * 1000);
		expect([devices.state('scale'), devices.live('scale')]).toEqual(['silent', undefined]);
		reads('scale', 121, { settled: true });
		expect(devices.live('scale')?.value).toBe(121);
	});

	it('nonsense is not believed: past what the scale weighs, or no number', () => {
		const devices = make();
		devices.start(true);
		for (const value of [9000, NaN, -4000]) {
			reads('scale', value, { settled: true });
			expect([devices.state('scale'), devices.live('scale')], `${value}`).toEqual(['nonsense', undefined]);
		}
		// a stranger in the stream is passed over
		says([{ device: 'toaster', atMs: Date.now(), value: 1 } as unknown as DeviceReading]);
		expect(Object.keys(devices.readings)).toEqual(['scale']);
	});

	it('one that is typed by hand stays out, however it speaks', () => {
		const devices = make();
		devices.start(true);
		devices.typed.infraredThermometer = true;
		reads('infraredThermometer', 24);
		expect([devices.state('infraredThermometer'), devices.live('infraredThermometer')]).toEqual([
			'typed',
			undefined
		]);
		devices.typed.infraredThermometer = false;
		expect(devices.live('infraredThermometer')?.value).toBe(24);
	});

	it('switched off it forgets, so that an old reading is never taken for a new one', () => {
		const devices = make();
		const stop = devices.start(true);
		reads('gauge', 200);
		stop();
		expect([devices.on, devices.readings]).toEqual([false, {}]);
		devices.start(true);
		expect(devices.state('gauge')).toBe('waiting');
	});

	it('what is done to a device carries an id and a moment of its own', () => {
		const devices = make();
		devices.start(true);
		devices.act({ kind: 'zero' });
		devices.act({ kind: 'stream', on: true, gPerS: 6 });
		expect(told.map((c) => c.kind)).toEqual(['zero', 'stream']);
		expect(new Set(told.map((c) => c.id)).size).toBe(2);
		expect(told.every((c) => c.atMs === Date.now())).toBe(true);
	});
});
