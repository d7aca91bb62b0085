import { describe, expect, it } from 'vitest';
import { lessonPlan } from '../practice/lesson';
import { WORKSHOP_DEFAULTS } from '../workshop';
import type { PourEvent } from './events';
import { counts, isReading, sourceOf } from './provenance';
import { SOURCES, SOURCE_WORDS } from './source';
import { reducePour } from './reduce';
import { benchSteps } from './steps';

const steps = benchSteps(lessonPlan(WORKSHOP_DEFAULTS));
let serial = 0;
const event = <E extends object>(atMs: number, e: E) =>
	({
		id: `00000000-0000-4000-8000-${String(++serial).padStart(12, '0')}`,
		atMs,
		...e
	}) as unknown as PourEvent;
const T0 = 1.79e12;
const from = (source: object) => [
	event(T0, { kind: 'air-read', roomTempC: 30, relativeHumidity: 70, mouldTempC: 29, ...source }),
	event(T0 + 1, { kind: 'weighed', stepId: 'measure-a', massG: 99, ...source }),
	event(T0 + 2, { kind: 'step-done', stepId: 'combine' }),
	event(T0 + 3, { kind: 'temp-read', tempC: 31, ...source }),
	event(T0 + 4, { kind: 'pressure-read', stepId: 'hold', gaugeKpa: 200, ...source })
];

describe('where a reading comes from', () => {
	it('every source has words, and only the plain case has none', () => {
		for (const s of SOURCES) expect(SOURCE_WORDS[s].length > 0).toBe(s !== 'typed');
	});
	it('devices of the version before were simulated; what it typed does not say', () => {
		expect(sourceOf({ by: 'device' })).toBe('simulated');
		expect(sourceOf({})).toBe('not kept');
		expect(sourceOf({ source: 'device' })).toBe('device');
	});
	it.each([{ by: 'device' }, { source: 'simulated' }])('nothing simulated counts: %o', (source) => {
		const state = reducePour(steps, from(source));
		expect(state.air).toBeUndefined();
		expect(state.weighedG).toEqual({});
		expect(state.temps).toEqual([]);
		expect(state.lowestGaugeKpa).toBeUndefined();
		// what was done was done
		expect(state.combinedAtMs).toBe(T0 + 2);
	});
	it.each([{ source: 'device' }, { source: 'typed' }, {}])('what was read counts: %o', (source) => {
		const state = reducePour(steps, from(source));
		expect(state.air?.roomTempC).toBe(30);
		expect(state.weighedG['measure-a']).toBe(99);
		expect(state.temps).toHaveLength(1);
		expect(state.lowestGaugeKpa).toBe(200);
	});
	it('in practice the simulated counts', () => {
		const state = reducePour(steps, from({ source: 'simulated' }), { practice: true });
		expect(state.temps).toHaveLength(1);
		expect(state.weighedG['measure-a']).toBe(99);
	});
	it('steps and remarks are no readings', () => {
		expect(isReading({ kind: 'remark' })).toBe(false);
		expect(counts(event(T0, { kind: 'step-done', stepId: 'look', by: 'device' }))).toBe(true);
	});
});
