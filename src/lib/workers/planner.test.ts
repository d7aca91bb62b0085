import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { FreshPlanner } from './planner';

/** A thread that does nothing but be counted. */
class Thread extends EventTarget {
	static begun = 0;
	static ended = 0;
	constructor() {
		super();
		Thread.begun++;
	}
	postMessage() {}
	terminate() {
		Thread.ended++;
	}
}
/** A sum that ends when it is told to. */
function sum<T>() {
	let end = (_value: T) => {};
	const answer = new Promise<T>((done) => (end = done));
	return { answer, end };
}

beforeEach(() => {
	vi.useFakeTimers();
	vi.stubGlobal('Worker', Thread);
	[Thread.begun, Thread.ended] = [0, 0];
});
afterEach(() => {
	vi.useRealTimers();
	vi.unstubAllGlobals();
});

describe('questions that change while they are answered', () => {
	it('one thread answers one question after another', async () => {
		const fresh = new FreshPlanner();
		expect(await fresh.ask(() => Promise.resolve(1))).toBe(1);
		vi.advanceTimersByTime(10_000);
		expect(await fresh.ask(() => Promise.resolve(2))).toBe(2);
		expect([Thread.begun, Thread.ended]).toEqual([1, 0]);
	});

	it('a quick sum for an old question is let finish, and says nothing', async () => {
		const fresh = new FreshPlanner();
		const [old, newer] = [sum<string>(), sum<string>()];
		const first = fresh.ask(() => old.answer);
		vi.advanceTimersByTime(100);
		const second = fresh.ask(() => newer.answer);
		expect(Thread.ended).toBe(0);
		old.end('old');
		newer.end('new');
		expect(await first).toBeUndefined();
		expect(await second).toBe('new');
	});

	it('a long one is ended, and the next is answered by a new thread', async () => {
		const fresh = new FreshPlanner();
		void fresh.ask(() => sum<string>().answer);
		vi.advanceTimersByTime(5000);
		expect(await fresh.ask(() => Promise.resolve('new'))).toBe('new');
		expect([Thread.begun, Thread.ended]).toEqual([2, 1]);
		// what was answered counts as done: the thread stays
		vi.advanceTimersByTime(5000);
		expect(await fresh.ask(() => Promise.resolve('again'))).toBe('again');
		expect(Thread.begun).toBe(2);
	});

	it('a question that fails says so to whoever asked it, and the next one is answered', async () => {
		const fresh = new FreshPlanner();
		await expect(fresh.ask(() => Promise.reject(new Error('out of range')))).rejects.toThrow('out of range');
		vi.advanceTimersByTime(1000);
		expect(await fresh.ask(() => Promise.resolve(3))).toBe(3);
	});

	it('stopped twice it ends once', async () => {
		const fresh = new FreshPlanner();
		await fresh.ask(() => Promise.resolve(1));
		fresh.stop();
		fresh.stop();
		expect(Thread.ended).toBe(1);
	});
});
