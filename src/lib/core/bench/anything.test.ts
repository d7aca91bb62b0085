import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { DEMO_RESINS } from '../../server/seed/materials';
import { pourPlan, type PourPlan } from '../plan/pourPlan';
import { benchSteps, clocksOf, GRADES, inOrder, pourEvent, reducePour, type PourEvent, withSteps } from '.';
import { FAULTS } from '../faults';
import { planOf } from './plan.testing';

const T0 = 1.79e12;
const plan: PourPlan = pourPlan.parse(
	planOf({
		batchIndex: 1,
		batchCount: 3,
		moulds: [
			{ id: 'm1', number: 1, label: 'Bollard', copies: 1 },
			{ id: 'm2', number: 2, label: 'Bollard', copies: 1 }
		],
		resinName: DEMO_RESINS[0]!.name
	})
);
const steps = benchSteps(plan);

const ids = fc.uuid({ version: 4 });
const atMs = fc.integer({ min: T0, max: T0 + 4_000_000 });
const anEvent: fc.Arbitrary<PourEvent> = fc.oneof(
	fc.record({
		id: ids,
		atMs,
		kind: fc.constant('step-done' as const),
		stepId: fc.constantFrom(...steps.map((s) => s.id), 'unknown')
	}),
	fc.record({
		id: ids,
		atMs,
		kind: fc.constant('air-read' as const),
		roomTempC: fc.integer({ min: -10, max: 60 }),
		relativeHumidity: fc.integer({ min: 1, max: 100 }),
		mouldTempC: fc.integer({ min: -10, max: 120 })
	}),
	fc.record({
		id: ids,
		atMs,
		kind: fc.constant('pressure-read' as const),
		stepId: fc.constantFrom('timed-3', 'release'),
		gaugeKpa: fc.integer({ min: 0, max: 500 })
	}),
	fc.record({
		id: ids,
		atMs,
		kind: fc.constant('graded' as const),
		mouldId: fc.constantFrom('m1', 'm2'),
		grade: fc.constantFrom(...GRADES),
		faults: fc.subarray([...FAULTS]),
		note: fc.string({ maxLength: 40 })
	}),
	fc.record({ id: ids, atMs, kind: fc.constant('finished' as const) }),
	fc.record({ id: ids, atMs, kind: fc.constant('abandoned' as const), reason: fc.string({ maxLength: 20 }) })
);

describe('whatever happens at the bench', () => {
	it('every device comes to the same state, in whatever order it hears of things', () => {
		fc.assert(
			fc.property(fc.array(anEvent, { maxLength: 30 }), fc.infiniteStream(fc.nat()), (events, noise) => {
				for (const e of events) expect(pourEvent.safeParse(e).success).toBe(true);
				const order = events.map((e) => ({ e, key: noise.next().value as number }));
				const shuffled = order.sort((a, b) => a.key - b.key).map((x) => x.e);
				expect(reducePour(steps, shuffled)).toEqual(reducePour(steps, events));
			})
		);
	});

	it('the state is sound: the current step is not done, those before it are, an end has a time', () => {
		fc.assert(
			fc.property(fc.array(anEvent, { maxLength: 40 }), (events) => {
				const state = reducePour(steps, events);
				steps.slice(0, state.current).forEach((s) => expect(state.doneAtMs[s.id]).toBeDefined());
				if (state.current < steps.length) expect(state.doneAtMs[steps[state.current]!.id]).toBeUndefined();
				expect(state.endedAtMs === undefined).toBe(state.status === 'open');
				if (state.status !== 'open') expect(state.lastUndoable).toBeUndefined();
				for (const clock of clocksOf('p', withSteps(plan), state)) {
					expect(state.status).toBe('open');
					expect(clock.endsAtMs).toBeGreaterThan(clock.startedAtMs);
				}
			})
		);
	});

	it('taking everything back leaves a pour that has not begun', () => {
		fc.assert(
			fc.property(fc.uniqueArray(anEvent, { maxLength: 20, selector: (e) => e.id }), (events) => {
				const undone = events.map((e, i) => ({
					id: `00000000-0000-4000-8000-${String(i).padStart(12, '0')}`,
					atMs: T0 + 5_000_000 + i,
					kind: 'undone' as const,
					eventId: e.id
				}));
				const state = reducePour(steps, [...events, ...undone]);
				expect(state).toMatchObject({ status: 'open', current: 0, doneAtMs: {}, grades: {} });
			})
		);
	});

	it('order is by time, then by id', () => {
		fc.assert(
			fc.property(fc.array(anEvent, { maxLength: 25 }), (events) => {
				const ordered = inOrder(events);
				for (let i = 1; i < ordered.length; i++) {
					const [p, q] = [ordered[i - 1]!, ordered[i]!];
					expect(p.atMs < q.atMs || (p.atMs === q.atMs && p.id <= q.id)).toBe(true);
				}
			})
		);
	});
});
