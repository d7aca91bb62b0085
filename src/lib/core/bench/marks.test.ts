import { describe, expect, it } from 'vitest';
import { benchSteps, reducePour, type PourEvent } from '.';
import { pourEvent } from './events';
import { planOf } from './plan.testing';

const T0 = 1.79e12;
const id = (n: number) => `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`;
const step = (n: number, stepId: string, mark?: string): PourEvent => ({
	id: id(n),
	atMs: T0 + n * 1000,
	kind: 'step-done',
	stepId,
	...(mark === undefined ? {} : { mark })
});
const reduced = (events: PourEvent[]) => reducePour(benchSteps(planOf()), events);

describe('who had the gloves on', () => {
	it('everybody who noted something, once, in the order in which they came', () => {
		const events = [
			step(1, 'look', 'MQ'),
			step(2, 'air'),
			step(3, 'shake', 'IB'),
			step(4, 'measure-b', 'MQ')
		];
		expect(reduced(events).marks).toEqual(['MQ', 'IB']);
		expect(reduced([...events].reverse()).marks).toEqual(['MQ', 'IB']);
	});
	it('what was taken back counts for nobody, and without people there is no mark', () => {
		const back: PourEvent = { id: id(9), atMs: T0 + 9000, kind: 'undone', eventId: id(1) };
		expect(reduced([step(1, 'look', 'MQ'), back]).marks).toEqual([]);
		expect(reduced([step(1, 'look')]).marks).toEqual([]);
	});
	it('a mark is a short word and no story', () => {
		expect(pourEvent.safeParse(step(1, 'look', 'MQ')).success).toBe(true);
		for (const mark of ['', ' ', 'ninechars'])
			expect(pourEvent.safeParse(step(1, 'look', mark)).success).toBe(false);
	});
});
