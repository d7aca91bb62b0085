import { afterEach, describe, expect, it, vi } from 'vitest';
import { farWords, followWork } from './howFar';

describe('how far heavy work is', () => {
	afterEach(() => {
		vi.useRealTimers();
		vi.unstubAllGlobals();
	});
	it('in words', () => {
		expect(farWords({ state: 'waiting', before: 1 })).toBe('Waits for one before it');
		expect(farWords({ state: 'waiting', before: 3 })).toBe('Waits for 3 before it');
		expect(farWords({ state: 'working', share: 0.804 })).toBe('Working it out, 80 %');
		expect(farWords({ state: 'unknown' })).toBeUndefined();
	});
	it('is asked until it is done, and a server that is silent says nothing', async () => {
		vi.useFakeTimers();
		const answers: (() => Promise<unknown>)[] = [
			() => Promise.resolve({ json: () => ({ state: 'waiting', before: 2 }) }),
			() => Promise.reject(new Error('gone')),
			() => Promise.resolve({ json: () => ({ state: 'working', share: 0.5 }) })
		];
		const asked: string[] = [];
		vi.stubGlobal('fetch', (url: string) => (asked.push(url), answers.shift()!()));
		const said: string[] = [];
		const stop = followWork('t', (words) => said.push(words));
		await vi.advanceTimersByTimeAsync(2200);
		stop();
		await vi.advanceTimersByTimeAsync(5000);
		expect(asked).toEqual(['/api/progress/t', '/api/progress/t', '/api/progress/t']);
		expect(said).toEqual(['Waits for 2 before it', 'Working it out, 50 %']);
	});
});
