import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { pressure } from '../examples.testing';
import { breaches } from '../schedule';
import { outlooks, planFrom, planOrders, type OrdersPlan, type Workshop } from '.';
import { castTogether, potLoadsAt, potLoadsOf, untangled } from './potLoads';
import { projectAt } from './planFrom';
import { pullsWanted } from './pulls';
import type { PullRecipe } from './snapshot';
import { DAY, HOUR, line, NOW, order, recipe, workshop } from './workshop.testing';

// two pieces that go into a pot: the resin is liquid for five minutes, and each cup takes one to mix and pour
const potted = (
	mould: string,
	more: Partial<NonNullable<PullRecipe['pot']>> = {},
	over: Partial<PullRecipe> = {}
) =>
	recipe(mould, {
		potId: 'pot',
		holdS: 1200,
		blocks: [{ durationS: 90 + 60 + 90 + 120, leastS: 0, mostS: 0 }],
		pot: { gaugeKpa: 275, pouredS: 60, pressedS: 90, closeS: 210, liquidS: 300, ...more },
		...over
	});
const body = (diameterMm: number, heightMm = 60) => ({
	name: 'a mould',
	footprint: { shape: 'round' as const, diameterMm },
	heightMm,
	outsideMl: 200
});
const wide = pressure.diameterMm;
/** One shelf: what does not stand on it does not go in. */
const vessel = { ...pressure, shelvesMm: [150] };
/** Four moulds of which two stand beside each other on a shelf. */
const shop = (
	lines: ReturnType<typeof line>[],
	more: Partial<Workshop> = {},
	diameterMm = wide * 0.42
): Workshop => {
	const base = workshop([order('o1', 3, lines)]);
	return {
		...base,
		moulds: base.moulds.map((m) => ({ ...m, body: body(diameterMm) })),
		pots: [{ id: 'pot', name: 'Pot 1', freeAtMs: NOW, refused: null, vessel }],
		...more
	};
};
const two = (a: PullRecipe = potted('a'), b: PullRecipe = potted('b'), more: Partial<Workshop> = {}) =>
	shop([line('l1', 1, [a]), line('l2', 1, [b])], more);
const startsOf = ({ activities }: OrdersPlan) => Object.fromEntries(activities.map((a) => [a.id, a.startMs]));
const loadsOf = (w: Workshop) => potLoadsOf(w, pullsWanted(w).pulls).loads;

describe('what goes in with one closing', () => {
	it('two moulds that stand beside each other, poured within the first cup’s pot life', () => {
		expect(loadsOf(two())).toEqual([['l1/1', 'l2/1']]);
	});

	it('the cup that stays liquid for longest is poured first', () => {
		expect(loadsOf(two(potted('a'), potted('b', { liquidS: 900 })))).toEqual([['l2/1', 'l1/1']]);
	});

	it.each<[string, Workshop]>([
		['the first would be too thick', two(potted('a', { liquidS: 200 }), potted('b', { liquidS: 200 }))],
		['another pressure is wanted', two(potted('a'), potted('b', { gaugeKpa: 400 }))],
		['they are poured in the same mould', two(potted('a'), potted('a'))],
		['one goes into another pot', two(potted('a'), potted('b', {}, { potId: 'other' }))],
		['one goes into none', two(potted('a'), recipe('b'))],
		['one must come out while it still gives', two(potted('a'), potted('b', {}, { flexibleS: 600 }))],
		[
			'they are too wide for one shelf',
			shop([line('l1', 1, [potted('a')]), line('l2', 1, [potted('b')])], {}, wide * 0.8)
		],
		['nobody knows how wide one of them is', two(potted('a'), potted('b'), { moulds: workshop([]).moulds })],
		['nobody knows the pot’s shelves', two(potted('a'), potted('b'), { pots: workshop([]).pots })]
	])('not where %s', (_why, w) => {
		expect(loadsOf(w)).toEqual([]);
		expect(potLoadsOf(w, pullsWanted(w).pulls).joinable.size).toBe(0);
	});

	it('a third goes in only while all of them are still liquid', () => {
		// 60 s to pour each, 20 s between them, 90 s to press: 180 + 40 + 90 = 310 s for the first of three
		const three = (liquidS: number) =>
			loadsOf(
				shop(
					['a', 'b', 'c'].map((m, i) => line(`l${i}`, 1, [potted(m, { liquidS })])),
					{},
					wide * 0.3
				)
			);
		expect(three(310)[0]).toHaveLength(3);
		expect(three(309)[0]).toHaveLength(2);
	});

	it('hands: every cup is measured, mixed and poured, and the pot is closed once', () => {
		const { beginsS, durationS, holdS } = castTogether([potted('a'), potted('b', {}, { holdS: 1800 })]);
		// by hand: (90 + 60) + 20 + (90 + 60) + 210
		expect([beginsS, durationS, holdS]).toEqual([[0, 170], 530, 1800]);
		expect(durationS).toBeLessThan(2 * potted('a').blocks[0]!.durationS);
	});
});

describe('the plan', () => {
	/** The pot is what everything waits for: each stands in it for forty minutes. */
	const slow = (mould: string) => potted(mould, {}, { holdS: 2400 });
	const forty = (copies: number) => shop([line('l1', copies, [slow('a')]), line('l2', copies, [slow('b')])]);
	const castsOf = (w: Workshop) => planOrders(w).activities.filter((a) => a.part === 'cast');

	it('holds both in the pot once, for as long as the slower wants, and opens it for both', () => {
		const w = two(potted('a'), potted('b', {}, { holdS: 1800 }));
		const { activities } = planOrders(w);
		const [first, second] = activities.filter((a) => a.part === 'cast');
		expect([first!.load, second!.load]).toEqual([
			['l1/1', 'l2/1'],
			['l1/1', 'l2/1']
		]);
		expect(second!.startMs - first!.startMs).toBe(170_000);
		expect(second!.endMs).toBe(first!.endMs);
		expect([first!.hands, second!.hands]).toEqual([1, 0]);
		const holds = activities.filter((a) => a.part === 'hold');
		expect(holds.map((h) => h.endMs - h.startMs)).toEqual([1_800_000]);
		for (const d of activities.filter((a) => a.part === 'demould'))
			expect(d.startMs).toBeGreaterThanOrEqual(holds[0]!.endMs);
		// both moulds stand ready before the first cup is combined
		for (const p of activities.filter((a) => a.part === 'prep'))
			expect(p.endMs).toBeLessThanOrEqual(first!.startMs);
	});

	it('is ready sooner than with every closing for itself, and its bound still lies under it', () => {
		const w = forty(6);
		const together = planOrders(w);
		const apart = planOrders({ ...w, pots: w.pots.map(({ vessel: _unknown, ...p }) => p) });
		expect(together.finishMs).toBeLessThan(apart.finishMs);
		expect(together.boundMs).toBeLessThanOrEqual(together.finishMs);
		expect(together.lateWeightedS).toBeLessThanOrEqual(apart.lateWeightedS);
	});

	it('spares closings where that makes nothing later, though the last piece ends no sooner', () => {
		// what is left to do outlasts both by far
		const w = two();
		const plan = planOrders({ ...w, orders: [...w.orders, order('o2', 9, [line('l9', 12, [recipe('d')])])] });
		expect(plan.activities.filter((a) => a.part === 'hold')).toHaveLength(1);
		expect(plan.lateWeightedS).toBe(0);
	});

	it('what is late waits for the cup of nothing that is not', () => {
		const w = shop([line('l1', 1, [potted('b')]), line('l2', 1, [potted('c')])], {}, wide * 0.3);
		// wanted ten minutes from now: nothing holds that
		const late = { ...order('o0', 0, [line('l0', 1, [potted('a')])]), dueAtMs: NOW + 600_000 };
		const { activities } = planOrders({ ...w, orders: [late, ...w.orders] });
		const casts = activities.filter((a) => a.part === 'cast');
		expect(casts.map((a) => [a.id, a.load])).toEqual([
			['l0/1/cast', undefined],
			['l1/1/cast', ['l1/1', 'l2/1']],
			['l2/1/cast', ['l1/1', 'l2/1']]
		]);
	});

	it('two that are late go in together where they wait for the pot', () => {
		const w = forty(3);
		const [asked] = w.orders;
		const late = { ...w, orders: [{ ...asked!, dueAtMs: NOW - DAY }] };
		const together = planOrders(late);
		const apart = planOrders({ ...late, pots: w.pots.map(({ vessel: _unknown, ...p }) => p) });
		expect(together.activities.filter((a) => a.part === 'cast').every((a) => a.load)).toBe(true);
		expect(together.lateWeightedS).toBeLessThan(apart.lateWeightedS);
	});

	it('one closing that would make something late spoils no other', () => {
		const w = shop(
			['a', 'b', 'c', 'd'].map((m, i) => line(`l${i}`, 1, [potted(m)], { hardenS: 0 })),
			{},
			wide * 0.42
		);
		// the fourth mould is taken until the afternoon: whatever waited for it would be late
		const moulds = w.moulds.map((m) => (m.id === 'd' ? { ...m, freeAtMs: NOW + 5 * HOUR } : m));
		const due = { ...w.orders[0]!, dueAtMs: NOW + 4 * HOUR };
		const casts = planOrders({ ...w, moulds, orders: [due] }).activities.filter((a) => a.part === 'cast');
		expect(Object.fromEntries(casts.map((a) => [a.id.slice(0, 2), a.load?.length]))).toEqual({
			l0: 2,
			l1: 2,
			l2: undefined,
			l3: undefined
		});
	});

	it('nothing waits for a mould that is still taken, to go in with another', () => {
		const pulls = pullsWanted(shop([line('l1', 2, [potted('a')]), line('l2', 2, [potted('b')])])).pulls;
		const times = (second: number, takesS: number) =>
			new Map([
				['l1/1', { castS: 0, outS: 4000 }],
				['l2/1', { castS: second, outS: second + takesS }],
				['l1/2', { castS: 4500, outS: 8500 }],
				['l2/2', { castS: second + 4500, outS: second + 4500 + takesS }]
			]);
		const w = two();
		const loads = (second: number, late: string[] = [], takesS = 4000) =>
			potLoadsOf(w, pulls, {}, { times: times(second, takesS), lateLines: new Set(late) }).loads;
		// b is empty at first; poured beside a, it is out again when a is poured for the second time
		expect(loads(2000)).toEqual([
			['l1/1', 'l2/1'],
			['l1/2', 'l2/2']
		]);
		// what cures for longer than a quarter of an hour beyond that is not waited for
		expect(loads(2000, [], 4000 + 500 + 901)).toEqual([['l1/1', 'l2/1']]);
		expect(loads(2000, [], 4000 + 500 + 900)).toHaveLength(2);
		expect(loads(400, ['l2'])).toEqual([]);
		expect(loads(400, ['l1', 'l2'])).toHaveLength(2);
	});

	it('is told again from its starts alone, and what breaks its closing is refused', () => {
		const w = forty(3);
		const plan = planOrders(w);
		const starts = startsOf(plan);
		const again = planFrom(w, starts, {});
		expect(again.ok).toBe(true);
		if (again.ok)
			expect(again.plan.activities.filter((a) => a.load).map((a) => [a.id, a.load])).toEqual(
				plan.activities.filter((a) => a.load).map((a) => [a.id, a.load])
			);
		const second = castsOf(w).find((a) => a.load && a.load[0] !== a.id.replace('/cast', ''))!;
		expect(planFrom(w, { ...starts, [second.id]: starts[second.id]! + 60_000 }, {}).ok).toBe(false);
	});

	it('a closing that has no room for it is not believed, whoever worked it out', () => {
		const w = forty(1);
		const plan = planOrders(w);
		const starts = startsOf(plan);
		expect(planFrom(w, starts, {}).ok).toBe(true);
		const wider = { ...w, moulds: w.moulds.map((m) => ({ ...m, body: body(wide * 0.8) })) };
		expect(planFrom(wider, starts, {}).ok).toBe(false);
	});

	it('stays as it was when it is planned again: who went in together goes in together', () => {
		const w = forty(4);
		const plan = planOrders(w);
		const again = planOrders(w, startsOf(plan));
		expect(again.moved).toBe(0);
		expect(again.activities.map((a) => [a.id, a.load])).toEqual(plan.activities.map((a) => [a.id, a.load]));
	});

	it('who went in together still does while all orders are late, as the clock goes on', () => {
		// found by trial: each for itself they would all be ready a little sooner
		const now = [
			line('l0', 1, [recipe('a')], { hardenS: 3600 }),
			line('l1', 2, [potted('d', {}, { holdS: 1200 })], { hardenS: 0 }),
			line('l2', 1, [potted('c', {}, { holdS: 3600 })], { hardenS: 0 }),
			line('l3', 4, [potted('c', {}, { holdS: 1200 })], { hardenS: 0 })
		];
		const w = shop([], {}, wide * 0.3);
		const late = {
			...w,
			orders: [
				{ ...order('o1', 0, now.slice(0, 2), 5), dueAtMs: NOW - 3.5727 * HOUR },
				{ ...order('o2', 0, now.slice(2), 4), dueAtMs: NOW - 2.9334 * HOUR }
			]
		};
		const shared = ({ activities }: OrdersPlan) =>
			activities
				.filter((a) => a.part === 'cast' && a.load?.[0] === a.id.slice(0, -5))
				.map((a) => a.load!.join());
		let plan = planOrders(late);
		const first = shared(plan);
		expect(first.length).toBeGreaterThan(0);
		for (let k = 1; k <= 4; k++) {
			const nowMs = NOW + k * 20_000;
			plan = planOrders({ ...late, nowMs }, startsOf(plan), { seed: k + 1 });
			expect(shared(plan)).toEqual(expect.arrayContaining(first));
		}
	});

	it('they part where one of them would wait too long for the other by now', () => {
		const w = shop(['a', 'b'].map((m, i) => line(`l${i}`, 1, [potted(m)], { hardenS: 0 })));
		const plan = planOrders(w);
		expect(plan.activities.filter((a) => a.load)).toHaveLength(2);
		// what is in the second mould comes out five hours later than was thought
		const moulds = w.moulds.map((m) => (`M${m.number}` === 'M2' ? { ...m, freeAtMs: NOW + 5 * HOUR } : m));
		const soon = { ...w.orders[0]!, dueAtMs: NOW + 4 * HOUR };
		const again = planOrders({ ...w, moulds, orders: [soon] }, startsOf(plan));
		const [a, b] = again.activities.filter((x) => x.part === 'cast');
		expect([a!.load, b!.load]).toEqual([undefined, undefined]);
		expect(b!.startMs - a!.startMs).toBeGreaterThan(3 * HOUR);
	});

	it('chance plays its closings through, too', () => {
		const w = forty(3);
		const [outlook] = outlooks(w, planOrders(w), { runs: 40 });
		expect(outlook!.chance).toBeGreaterThan(0.5);
	});

	it('whatever is asked for, it passes the checker, and no pull stands in two closings', () => {
		const kinds = fc.record({
			mould: fc.constantFrom('a', 'b', 'c', 'd'),
			copies: fc.integer({ min: 1, max: 3 }),
			liquidS: fc.constantFrom(150, 300, 900),
			holdS: fc.constantFrom(600, 1800),
			potted: fc.boolean()
		});
		fc.assert(
			fc.property(fc.array(kinds, { minLength: 1, maxLength: 4 }), (asked) => {
				const w = shop(
					asked.map((k, i) =>
						line(`l${i}`, k.copies, [
							k.potted ? potted(k.mould, { liquidS: k.liquidS }, { holdS: k.holdS }) : recipe(k.mould)
						])
					)
				);
				const plan = planOrders(w, {}, { iterations: 20 });
				expect(plan.status).toBe('feasible');
				const starts = Object.fromEntries(
					plan.activities.map((a) => [a.id, Math.round((a.startMs - w.nowMs) / 1000)])
				);
				const { made } = projectAt(w, starts);
				expect(breaches(made.project, starts)).toEqual([]);
				const loads = plan.activities.filter((a) => a.part === 'cast' && a.load).map((a) => a.load!.join());
				for (const id of plan.activities
					.filter((a) => a.part === 'prep')
					.map((a) => a.id.replace('/prep', '')))
					expect(new Set(loads.filter((l) => l.split(',').includes(id))).size).toBeLessThanOrEqual(1);
			}),
			{ numRuns: 25 }
		);
	});
});

describe('loads and the turns of moulds', () => {
	const pulls = pullsWanted(shop([line('l1', 2, [potted('a')]), line('l2', 2, [potted('b')])])).pulls;
	it('two that wait for each other do not both stand', () => {
		const crossed = [
			['l1/1', 'l2/2'],
			['l1/2', 'l2/1']
		];
		expect(untangled(pulls, crossed)).toHaveLength(1);
		const straight = [
			['l1/1', 'l2/1'],
			['l1/2', 'l2/2']
		];
		expect(untangled(pulls, straight)).toEqual(straight);
	});
	it('a load of a pull that is no more is forgotten', () => {
		expect(untangled(pulls, [['l1/1', 'l9/1']])).toEqual([]);
	});
	it('starts tell which went in together: the one without a hold of its own', () => {
		const starts = {
			'l1/1/cast': 100,
			'l1/1/hold': 600,
			'l2/1/cast': 270,
			'l1/2/cast': 5000,
			'l1/2/hold': 5400,
			'l2/2/cast': 9000,
			'l2/2/hold': 9400
		};
		expect(potLoadsAt(pulls, starts)).toEqual([['l1/1', 'l2/1']]);
	});
});
