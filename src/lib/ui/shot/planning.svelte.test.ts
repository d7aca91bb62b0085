import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { SizingQuestion } from '$lib/core/plan';
import type { PlannedShot } from '$lib/core/shot';
import { Planning } from './planning.svelte';

/** A planner whose answers the test gives when it wants. */
class Slow {
	open: ((answer: unknown) => void)[] = [];
	stopped = 0;
	ask<T>(): Promise<Awaited<T> | undefined> {
		return new Promise((answer) => this.open.push(answer as (answer: unknown) => void));
	}
	stop() {
		this.stopped++;
	}
	async reply(answer: unknown) {
		this.open.shift()!(answer);
		await vi.advanceTimersByTimeAsync(0);
	}
}
const question = {} as SizingQuestion;
const shot = (demouldS: number) => ({
	shot: { ok: true, value: { shot: { demouldS } } as PlannedShot },
	touching: []
});
const demould = (planning: Planning) => planning.planned?.shot.demouldS;

let plans: Slow;
let whatIfs: Slow;
let planning: Planning;
const asks = async () => {
	const off = planning.ask(question, []);
	await vi.advanceTimersByTimeAsync(100);
	return off;
};
beforeEach(() => {
	vi.useFakeTimers();
	[plans, whatIfs] = [new Slow(), new Slow()];
	planning = new Planning(plans, whatIfs);
});
afterEach(() => vi.useRealTimers());

describe('a shot that is being sized', () => {
	it('is answered, and then what would change it', async () => {
		await asks();
		await plans.reply(shot(1));
		expect([demould(planning), planning.whatIf]).toEqual([1, undefined]);
		await whatIfs.reply({ ok: true, value: { sensitivity: [], helps: [] } });
		expect(planning.whatIf).toEqual({ sensitivity: [], helps: [] });
	});

	it('only the newest answer counts, in whatever order they come', async () => {
		await asks();
		await asks();
		await plans.reply(shot(1));
		expect(demould(planning)).toBeUndefined();
		await plans.reply(shot(2));
		expect(demould(planning)).toBe(2);
		// what would change the last one is not said of the next
		await asks();
		await whatIfs.reply({ ok: true, value: { sensitivity: [], helps: [] } });
		expect(planning.whatIf).toBeUndefined();
	});

	it('a change that is followed by another at once is not worked out at all', async () => {
		const off = planning.ask(question, []);
		off();
		planning.ask(question, []);
		await vi.advanceTimersByTimeAsync(100);
		expect(plans.open).toHaveLength(1);
	});

	it('what it is refused for stands at its field; the shot goes until it is mended', async () => {
		await asks();
		await plans.reply(shot(1));
		await asks();
		await plans.reply({
			touching: [],
			shot: {
				errors: [
					{ path: 'copies', message: 'Copies are whole.' },
					{ path: 'cups.1.share', message: 'The shares make 120 %.' },
					{ path: 'cups.1.name', message: 'Name the colour.' }
				]
			}
		});
		expect(demould(planning)).toBeUndefined();
		expect(planning.at('copies')).toEqual(['Copies are whole.']);
		expect(planning.at('cups')).toHaveLength(2);
		expect(planning.in('cups', 1, 'share')).toEqual(['The shares make 120 %.']);
		expect([planning.in('cups', 0, 'share'), planning.at('hands')]).toEqual([undefined, undefined]);
		await asks();
		await plans.reply(shot(3));
		expect([demould(planning), planning.problems]).toEqual([3, []]);
	});

	it('with nothing chosen there is no shot, and a late answer makes none', async () => {
		await asks();
		planning.clear();
		await plans.reply(shot(1));
		expect([demould(planning), planning.problems]).toEqual([undefined, []]);
	});

	it('left, it ends what is being worked out', () => {
		planning.stop();
		expect([plans.stopped, whatIfs.stopped]).toEqual([1, 1]);
	});
});
