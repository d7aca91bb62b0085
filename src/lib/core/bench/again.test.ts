import { describe, expect, it } from 'vitest';
import { carriedOver, nextOf } from './again';
import type { PourEvent } from './events';
import { reducePour } from './reduce';
import { benchSteps } from './steps';
import { planOf } from './plan.testing';

const HOUR_MS = 3_600_000;
const T0 = 1.76e12;
const steps = benchSteps(planOf());
const done = (stepId: string, atMs: number, id = stepId): PourEvent => ({
	id,
	kind: 'step-done',
	atMs,
	stepId
});
const air = (atMs: number, roomTempC: number): PourEvent => ({
	id: `air ${atMs}`,
	kind: 'air-read',
	atMs,
	roomTempC,
	relativeHumidity: 45,
	mouldTempC: roomTempC,
	source: 'typed'
});
const over = (events: readonly PourEvent[], nowMs: number) =>
	carriedOver(events, reducePour(steps, events), nowMs, (n) => `new ${n}`);

describe('the same cast again', () => {
	const events = [
		done('look', T0),
		air(T0 + 60_000, 21),
		done('air', T0 + 60_000),
		done('shake', T0 + 120_000),
		done('measure-b', T0 + 180_000)
	];

	it('keeps its set-up at the times when it was done, and begins at what is done for every pull', () => {
		const carried = over(events, T0 + 20 * 60_000);
		expect(carried.map((e) => e.atMs)).toEqual([T0, T0 + 60_000, T0 + 60_000, T0 + 120_000]);
		expect(new Set(carried.map((e) => e.id)).size).toBe(4);
		const state = reducePour(steps, carried);
		expect(steps[state.current]?.id).toBe('measure-b');
		expect(state.air?.roomTempC).toBe(21);
		expect(state.combinedAtMs).toBeUndefined();
	});
	it('asks again for what no longer holds: the room after an hour, the tins after an afternoon', () => {
		expect(over(events, T0 + 2 * HOUR_MS).map((e) => (e.kind === 'step-done' ? e.stepId : e.kind))).toEqual([
			'look',
			'shake'
		]);
		expect(over(events, T0 + 6 * HOUR_MS).map((e) => (e.kind === 'step-done' ? e.stepId : e.kind))).toEqual([
			'look'
		]);
		expect(over(events, T0 + 13 * HOUR_MS)).toEqual([]);
	});
	it('counts from when it was really done, pull after pull', () => {
		const second = over(events, T0 + 50 * 60_000);
		// the room was read 49 minutes ago then, and 99 minutes ago now
		const third = over([...second, done('combine', T0 + 55 * 60_000)], T0 + 100 * 60_000);
		expect(third.map((e) => (e.kind === 'step-done' ? e.stepId : e.kind))).toEqual(['look', 'shake']);
	});
	it('takes the last reading, nothing that was taken back, and no look at a mould that gave scrap', () => {
		const changed: PourEvent[] = [
			...events,
			air(T0 + 30 * 60_000, 25),
			{ id: 'u', kind: 'undone', atMs: T0 + 130_000, eventId: 'shake' },
			{ id: 'g', kind: 'graded', atMs: T0 + 35 * 60_000, mouldId: 'm', grade: 'scrap', faults: [], note: '' }
		];
		const carried = over(changed, T0 + 40 * 60_000);
		expect(carried.map((e) => e.kind)).toEqual(['step-done', 'air-read']);
		expect(carried[1]).toMatchObject({ roomTempC: 25, source: 'typed' });
	});
	it('is counted, and knows how many are wanted until another number is said', () => {
		const second = nextOf('a', undefined, 40);
		expect(second).toEqual({ first: 'a', number: 2, wanted: 40 });
		expect(nextOf('b', second)).toEqual({ first: 'a', number: 3, wanted: 40 });
		expect(nextOf('b', second, 12)).toEqual({ first: 'a', number: 3, wanted: 12 });
		expect(nextOf('a', undefined)).toEqual({ first: 'a', number: 2 });
	});
});
