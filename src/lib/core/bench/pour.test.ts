import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type PourPlan } from '../plan/pourPlan';
import { benchSteps, clocksOf, mostPressingFirst, pourEvent, reducePour, type PourEvent, withSteps } from '.';
import { planOf } from './plan.testing';

const plan = planOf();
const steps = benchSteps(plan);
const T0 = 1.79e12;
let serial = 0;
const uuid = () => `00000000-0000-4000-8000-${String(++serial).padStart(12, '0')}`;
const done = (stepId: string, atS: number): PourEvent => ({
	id: uuid(),
	atMs: T0 + atS * 1000,
	kind: 'step-done',
	stepId
});

/** A whole pour as it should go. */
function story(): PourEvent[] {
	const at: Record<string, number> = {
		'timed-0': 38,
		'timed-1': 61,
		'timed-2': 80,
		'timed-3': 95,
		release: 420,
		demould: 1100,
		inspect: 1160
	};
	const events = steps.map((s, i) => done(s.id, s.id === 'combine' ? 0 : (at[s.id] ?? -100 + i)));
	return [
		...events,
		{ id: uuid(), atMs: T0 + 94_500, kind: 'pressure-read', stepId: 'timed-3', gaugeKpa: 270 },
		{ id: uuid(), atMs: T0 + 1_159_000, kind: 'graded', mouldId: 'm1', grade: 'good', faults: [], note: '' },
		{ id: uuid(), atMs: T0 + 1_161_000, kind: 'finished' }
	];
}

describe('steps', () => {
	it('measure the moisture-sensitive A last, combine before every deadline, end with the grade', () => {
		const ids = steps.map((s) => s.id);
		expect(ids.indexOf('measure-b')).toBeLessThan(ids.indexOf('measure-a'));
		const firstDeadline = steps.findIndex((s) => s.deadlineS !== undefined);
		expect(ids.indexOf('combine')).toBe(firstDeadline - 1);
		expect(ids.at(-1)).toBe('inspect');
		expect(steps.filter((s) => s.deadlineS !== undefined).map((s) => s.deadlineS)).toEqual([40, 60, 80, 92]);
	});
	it('carry the caution with the step that it belongs to', () => {
		expect(steps.find((s) => s.id === 'measure-a')!.cautions).toContain('isocyanate');
		expect(steps.find((s) => s.kind === 'pump')!.cautions).toContain('pressure');
		expect(steps.find((s) => s.kind === 'hold')!.cautions).toContain('pressure');
	});
	it('have unlike ids', () => {
		expect(new Set(steps.map((s) => s.id)).size).toBe(steps.length);
	});
	it('without a pot there is nothing to hold', () => {
		const { pot: _pot, ...open } = plan;
		expect(benchSteps(open).some((s) => s.kind === 'hold')).toBe(false);
	});
});

describe('state from events', () => {
	it('of a whole pour', () => {
		const state = reducePour(steps, story());
		expect(state).toMatchObject({
			status: 'finished',
			current: steps.length,
			combinedAtMs: T0,
			pouredAtMs: T0 + 61_000,
			settledAtMs: T0 + 95_000,
			reached: { gaugeKpa: 270 },
			demouldedAtMs: T0 + 1_100_000,
			grades: { m1: { grade: 'good' } }
		});
	});

	it('does not depend on the order of arrival, nor on how often an event arrives', () => {
		const events = story();
		const expected = reducePour(steps, events);
		fc.assert(
			fc.property(
				fc.shuffledSubarray(events, { minLength: events.length }),
				fc.subarray(events),
				(shuffled, again) => {
					expect(reducePour(steps, [...shuffled, ...again])).toEqual(expected);
				}
			)
		);
	});

	it('a step done on two devices counts once, by its first moment', () => {
		const state = reducePour(steps, [done('look', 5), done('look', 3)]);
		expect(state.doneAtMs['look']).toBe(T0 + 3000);
		expect(state.current).toBe(1);
	});

	it('back takes the last step back and leaves it in the record', () => {
		const [a, b] = [done('look', 1), done('air', 2)];
		const undo: PourEvent = { id: uuid(), atMs: T0 + 3000, kind: 'undone', eventId: b.id };
		const state = reducePour(steps, [undo, a, b]);
		expect(state.current).toBe(1);
		expect(state.lastUndoable).toBe(a.id);
	});

	it('given up keeps its reason', () => {
		const state = reducePour(steps, [
			done('combine', 0),
			{ id: uuid(), atMs: T0 + 9000, kind: 'abandoned', reason: 'kicked' }
		]);
		expect(state).toMatchObject({ status: 'abandoned', reason: 'kicked', endedAtMs: T0 + 9000 });
	});
});

describe('clocks', () => {
	const upTo = (atS: number) => story().filter((e) => e.atMs <= T0 + atS * 1000);
	const running = (atS: number) =>
		clocksOf('p', withSteps(plan), reducePour(steps, upTo(atS))).map((c) => [
			c.kind,
			(c.endsAtMs - T0) / 1000
		]);
	it('what has been over for more than a day waits behind all that still runs', () => {
		const clock = (id: string, leftS: number) => ({
			id,
			kind: 'cure' as const,
			label: '',
			startedAtMs: 0,
			endsAtMs: T0 + leftS * 1000,
			then: '',
			href: ''
		});
		const clocks = [
			clock('forgotten', -428_000),
			clock('later', 4000),
			clock('over', -300),
			clock('soon', 190)
		];
		expect(mostPressingFirst(clocks, T0).map((c) => c.id)).toEqual(['over', 'soon', 'later', 'forgotten']);
	});
	it('pot life from combining, then hold and cure from the end of the pour, then nothing', () => {
		expect(running(-1)).toEqual([]);
		expect(running(50)).toEqual([['pot-life', 150]]);
		expect(running(100)).toEqual([
			['hold', 361],
			['cure', 961]
		]);
		expect(running(500)).toEqual([['cure', 961]]);
		expect(running(5000)).toEqual([]);
	});
});

describe('events from outside', () => {
	it.each([
		[{ kind: 'step-done', stepId: 'look' }, 'without an id'],
		[{ id: 'x', atMs: T0, kind: 'step-done', stepId: 'look' }, 'with an id that is none'],
		[{ id: uuid(), atMs: 5, kind: 'step-done', stepId: 'look' }, 'from 1970'],
		[{ id: uuid(), atMs: T0, kind: 'exploded' }, 'of no known kind'],
		[{ id: uuid(), atMs: T0, kind: 'pressure-read', stepId: 'x', gaugeKpa: -5 }, 'below vacuum'],
		[
			{ id: uuid(), atMs: T0, kind: 'graded', mouldId: 'm', grade: 'superb', faults: [], note: '' },
			'with a grade that is none'
		]
	])('%j is refused: %s', (event, _why) => {
		expect(pourEvent.safeParse(event).success).toBe(false);
	});
});

describe('a rotocast at the bench', () => {
	const layer = {
		a: { massG: 20, volumeMl: 19 },
		b: { massG: 18, volumeMl: 19 },
		thicknessMm: 1,
		potLifeS: 170,
		lockS: 240,
		gelS: 400,
		recoatFromS: 400,
		recoatUntilS: 900,
		serves: 'detail'
	};
	const rolled: PourPlan = {
		...plan,
		pot: undefined,
		layers: [layer, { ...layer, potLifeS: 165, lockS: 200, recoatFromS: 330, sags: true, serves: 'drained' }],
		fill: { words: 'plaster, wet', mixG: 340, fillMl: 200 },
		inserts: [{ name: 'wire', massG: 12 }]
	};
	const all = benchSteps(rolled);
	const ids = all.map((s) => s.id);
	const run = (until: string, from = 0) =>
		all.slice(0, ids.indexOf(until) + 1).map((s, i) => done(s.id, from + i * 10));

	it('weighs, combines, pours and rolls each layer in this order, weighs the next while the last gels', () => {
		const order = [
			'measure-b',
			'measure-a',
			'combine',
			'mix-0',
			'pour-0',
			'roll-0',
			'measure-b-1',
			'measure-a-1',
			'gelled-0',
			'combine-1',
			'mix-1',
			'pour-1',
			'roll-1',
			// what it hangs by goes into the last layer
			'set-1',
			'fill',
			'demould',
			'inspect'
		].map((id) => ids.indexOf(id));
		expect(order.every((n) => n >= 0)).toBe(true);
		expect([...order].sort((a, b) => a - b)).toEqual(order);
		expect(new Set(ids).size).toBe(ids.length);
	});
	it('a layer that is left to cool for hours is waited for before the next is measured, after what is set on it', () => {
		const flat = { ...layer, way: 'flat' as const, lockS: 380, recoatUntilS: 90_000, levelMm: 8 };
		const orderOf = (first: typeof flat & { setsIn?: string[] }) => {
			const found = benchSteps({ ...rolled, layers: [first, flat], fill: undefined }).map((s) => s.id);
			return found.slice(found.indexOf('pour-0') + 1, found.indexOf('pour-1'));
		};
		// gels at 400 s and bears the next then: weighed meanwhile
		expect(orderOf(flat)).toEqual(['measure-b-1', 'measure-a-1', 'gelled-0', 'combine-1', 'mix-1']);
		const cooling = { ...flat, recoatFromS: 11_000 };
		expect(orderOf(cooling)).toEqual([
			'gelled-0',
			'cooled-0',
			'measure-b-1',
			'measure-a-1',
			'combine-1',
			'mix-1'
		]);
		expect(orderOf({ ...cooling, setsIn: ['fern'] }).slice(0, 3)).toEqual(['gelled-0', 'set-0', 'cooled-0']);
		const wait = benchSteps({ ...rolled, layers: [cooling, flat], fill: undefined }).filter(
			(s) => s.kind === 'dry'
		);
		expect(wait.map((s) => s.waitS)).toEqual([400, 11_000]);
	});
	it('each layer weighs its own amounts; a last one that sags is drained, and nothing is stirred in unasked', () => {
		expect(all.find((s) => s.id === 'measure-b-1')!.amount).toEqual(layer.b);
		expect(all.find((s) => s.id === 'measure-b-1')!.detail).not.toMatch(/filler|% by volume/);
		expect(all.find((s) => s.id === 'roll-1')!.detail).toMatch(/upside down.* sag/);
		expect(all.find((s) => s.id === 'roll-0')!.detail).not.toMatch(/sag/);
	});
	it('the filling waits until the last layer is firm, not only until it stops running', () => {
		const fill = all.find((s) => s.id === 'fill')!;
		expect(fill).toMatchObject({ kind: 'dry', waitS: rolled.demouldS, sinceStep: 'pour-1' });
		expect(fill.waitS!).toBeGreaterThan(rolled.layers![1]!.gelS);
	});
	it('the clock is the cup’s, then how long it is rolled, then when the next may follow', () => {
		const clock = (until: string) => clocksOf('p', withSteps(rolled), reducePour(all, run(until)))[0]!;
		expect(clock('combine')).toMatchObject({ kind: 'pot-life' });
		expect(clock('combine').endsAtMs - clock('combine').startedAtMs).toBe(170_000);
		expect(clock('pour-0').then).toBe('it no longer runs');
		expect(clock('roll-0').then).toBe('layer 2 may follow');
		expect(clock('roll-0').endsAtMs - clock('roll-0').startedAtMs).toBe(400_000);
		expect(clock('combine-1').endsAtMs - clock('combine-1').startedAtMs).toBe(165_000);
		expect(clock('roll-1')).toMatchObject({ kind: 'cure', then: 'fill the shell' });
		expect(clock('fill')).toMatchObject({ kind: 'cure', then: 'demould' });
	});
	it('it was poured with its last layer; readings of each cup end with its pour', () => {
		const events = run('roll-1');
		const at = (id: string) => events[ids.indexOf(id)]!.atMs;
		const read = (atMs: number): PourEvent => ({ id: uuid(), atMs, kind: 'temp-read', tempC: 30 });
		const state = reducePour(all, [
			...events,
			...['mix-0', 'pour-0', 'mix-1', 'pour-1'].map((id) => read(at(id) + 1))
		]);
		expect(state.pouredAtMs).toBe(at('pour-1'));
		expect(state.settledAtMs).toBe(at('roll-1'));
		expect(state.temps.map((t) => t.cup)).toEqual([0, 1]);
	});
});
