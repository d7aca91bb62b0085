import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { NextPull, type Answered } from './nextPull.svelte';

beforeEach(() => void vi.useFakeTimers());
afterEach(() => void vi.useRealTimers());

const after = (ms: number) => vi.advanceTimersByTimeAsync(ms);
type Answer = Parameters<Answered>[0];

describe('the next pull', () => {
	it('is asked for once the server knows the end of this one, however busy it is', async () => {
		let unsent = 2;
		const next = new NextPull(() => unsent);
		const cancel = vi.fn();
		let asked = false;
		const begun = next.begin(cancel).then((answer) => ((asked = true), answer));
		await after(12_000);
		expect([asked, next.beginning]).toEqual([false, true]);
		unsent = 0;
		await after(200);
		expect([asked, cancel.mock.calls.length]).toEqual([true, 0]);
		const update = vi.fn();
		await (await begun)!({
			result: { type: 'redirect', status: 303, location: '/pour/x' },
			update
		} as never as Answer);
		expect([update.mock.calls.length, next.beginning, next.refused]).toEqual([1, false, '']);
	});
	it('that is refused says why, also where the press that asked is gone', async () => {
		const next = new NextPull(() => 0);
		const answer = await next.begin(() => {});
		await answer!({
			result: { type: 'failure', status: 409, data: { refused: 'M3 is full.' } }
		} as never as Answer);
		expect([next.refused, next.beginning]).toEqual(['M3 is full.', false]);
		const again = await next.begin(() => {});
		expect(next.refused).toBe('');
		await again!({ result: { type: 'error', error: new Error('away') } } as never as Answer);
		expect(next.refused).toMatch(/did not answer, so nothing was begun/);
	});
	it('is not asked for while the end of this one stays on the device, and that is said', async () => {
		const next = new NextPull(() => 1);
		const cancel = vi.fn();
		const begun = next.begin(cancel);
		await after(60_000);
		expect(await begun).toBeUndefined();
		expect(cancel).toHaveBeenCalledOnce();
		expect([next.beginning, next.refused]).toEqual([
			false,
			expect.stringContaining('has not reached the server yet')
		]);
	});
});
