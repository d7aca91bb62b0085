import { describe, expect, it } from 'vitest';
import { breaches } from '../schedule';
import { outlooks } from './chance';
import { planDifferences } from './differences';
import { openingsOf, projectOf } from './project';
import { planOrders, type OrdersPlan } from './planOrders';
import { pullsWanted } from './pulls';
import { runList } from './runList';
import { DAY, HOUR, line, NOW, order, recipe, workshop } from './workshop.testing';

const startsOf = (plan: OrdersPlan) => Object.fromEntries(plan.activities.map((a) => [a.id, a.startMs]));
const hoursOf = (ms: number) => ((ms - NOW) / HOUR) % 24;

describe('a plan of orders', () => {
	const ammonites = line('l1', 20, [recipe('a'), recipe('b'), recipe('c', { potId: 'pot', holdS: 1200 })]);
	const shop = workshop([order('1', 4, [ammonites]), order('2', 6, [line('l2', 4, [recipe('d')])])]);
	const plan = planOrders(shop, {}, { iterations: 60 });

	it('hands are wanted while somebody is there, and everything is wanted in its order', () => {
		expect(plan.status).toBe('feasible');
		for (const a of plan.activities.filter((x) => x.hands > 0)) {
			expect(hoursOf(a.startMs)).toBeGreaterThanOrEqual(1);
			expect(hoursOf(a.endMs)).toBeLessThanOrEqual(9);
		}
		const of = (part: string) => plan.activities.filter((a) => a.part === part && a.lineId === 'l1');
		expect(of('cast')).toHaveLength(plan.orders[0]!.casts);
		for (const cast of of('cast')) {
			const demould = of('demould').find((d) => d.number === cast.number)!;
			expect(demould.startMs).toBeGreaterThanOrEqual(cast.endMs + 2400 * 1000);
		}
	});
	it('no mould and no pot holds two at once', () => {
		for (const name of ['M1', 'M2', 'M3', 'M4']) {
			const inIt = plan.activities.filter(
				(a) => a.moulds?.includes(name) && ['prep', 'cast', 'cure', 'demould'].includes(a.part)
			);
			expect(inIt.length).toBeGreaterThan(3);
			for (const [k, a] of inIt.entries())
				for (const b of inIt.slice(k + 1)) expect(b.startMs >= a.endMs || a.startMs >= b.endMs).toBe(true);
		}
		const held = plan.activities.filter((a) => a.part === 'hold');
		expect(held.length).toBeGreaterThan(3);
		for (const [k, a] of held.entries())
			for (const b of held.slice(k + 1)) expect(b.startMs >= a.endMs || a.startMs >= b.endMs).toBe(true);
	});
	it('is ready when the last has hardened, and says what no plan beats', () => {
		const [first] = plan.orders;
		const cast = plan.activities.filter((a) => a.part === 'cast' && a.orderId === '1').at(-1)!;
		expect(first!.readyAtMs).toBeGreaterThanOrEqual(cast.startMs + DAY);
		expect(plan.boundMs).toBeLessThanOrEqual(plan.finishMs);
		expect(plan.orders.map((o) => o.lateMs)).toEqual([0, 0]);
	});
	it('the list of today says when hands are free', () => {
		const there = [{ fromMs: NOW + HOUR, untilMs: NOW + 9 * HOUR }];
		const lines = runList(plan.activities, NOW, NOW + DAY, there);
		expect(lines.length).toBeGreaterThan(10);
		// nobody is there before nine: that is no free time
		expect(lines[0]!.freeBeforeS).toBe(0);
		const busyS = lines.reduce((sum, l) => sum + (l.endMs - l.startMs) / 1000 + l.freeBeforeS, 0);
		expect(busyS).toBeLessThanOrEqual(8 * 3600 + 1);
		expect(lines.every((l) => l.hands > 0)).toBe(true);
	});
	it('curing through a cold night takes as long as the cold makes it', () => {
		const slow = recipe('a', { cureS: { day: 7 * 3600, night: 28 * 3600 } });
		const cold = planOrders(workshop([order('1', 9, [line('l', 2, [slow])])]), {}, { iterations: 30 });
		const cures = cold.activities.filter((a) => a.part === 'cure').map((c) => c.endMs - c.startMs);
		// the first is cast soon after nine and is done by day; the second begins before five, and the rest of it is cold
		expect(cures[0]).toBe(7 * HOUR);
		expect(cures[1]).toBeGreaterThan(14 * HOUR);
	});
	it('layers lie in the windows in which they bond', () => {
		const blocks = [
			{ durationS: 500, leastS: 0, mostS: 0 },
			{ durationS: 300, leastS: 700, mostS: 900 },
			{ durationS: 300, leastS: 700, mostS: 900 }
		];
		const hollow = planOrders(
			workshop([
				order('1', 9, [line('l', 3, [recipe('a', { blocks, flexibleS: 1200 })]), line('m', 6, [recipe('b')])])
			]),
			{},
			{ iterations: 40 }
		);
		const at = new Map(hollow.activities.map((a) => [a.id, a]));
		for (const n of [1, 2, 3]) {
			const gap = (at.get(`l/${n}/layer-2`)!.startMs - at.get(`l/${n}/cast`)!.startMs) / 1000;
			expect(gap).toBeGreaterThanOrEqual(700);
			expect(gap).toBeLessThanOrEqual(900);
			const out = (at.get(`l/${n}/demould`)!.startMs - at.get(`l/${n}/cure`)!.endMs) / 1000;
			expect(out).toBeLessThanOrEqual(1200);
		}
	});
});

describe('what keeps an order from being planned', () => {
	const hindered = (more: Parameters<typeof workshop>[1], recipes = [recipe('a')], copies = 10) =>
		planOrders(workshop([order('1', 4, [line('l', copies, recipes)])], more), {}, { iterations: 20 });
	const moulds = workshop([]).moulds;

	it('a tin that runs out: the rest waits, and how much is short is said', () => {
		const plan = hindered({ stock: [{ id: 'white', name: 'White A', leftG: 250 }] });
		const [h] = plan.hindrances;
		expect(plan.activities.filter((a) => a.part === 'cast')).toHaveLength(4);
		expect(h).toMatchObject({ casts: plan.orders[0]!.casts - 4, short: { stockId: 'white' } });
		expect(h!.short!.massG).toBeCloseTo(60 * plan.orders[0]!.casts - 250, 6);
		expect(plan.orders[0]!.readyAtMs).toBeNull();
	});
	it('a mould that is torn, and a pot that is refused', () => {
		const torn = hindered({ moulds: moulds.map((m) => ({ ...m, refused: 'is retired' })) });
		expect(torn.hindrances[0]!.why).toBe('M1 is retired');
		const pot = hindered({ pots: [{ id: 'pot', name: 'Pot 1', freeAtMs: NOW, refused: 'a look is due' }] }, [
			recipe('a', { potId: 'pot', holdS: 600 })
		]);
		expect(pot.hindrances[0]!.why).toBe('Pot 1 may not be used: a look is due');
	});
	it('nobody there: said with what mends it', () => {
		const week = workshop([]).hours.week.map((d) => ({ ...d, hands: 0 }));
		const plan = hindered({ hours: { ...workshop([]).hours, week } });
		expect(plan).toMatchObject({ status: 'infeasible', proven: true, activities: [] });
		expect(plan.conflict[0]).toMatch(/Say when you work/);
	});
	it('a cast that fits into no day is named', () => {
		const plan = hindered({}, [recipe('a', { blocks: [{ durationS: 9 * 3600, leastS: 0, mostS: 0 }] })], 1);
		expect(plan.status).toBe('infeasible');
		expect(plan.conflict.join()).toMatch(/casting, 540 min/);
	});
	it('a mould that may not last gets a successor, cured before it is used', () => {
		const left = { low: 3, median: 6, high: 12 };
		const plan = hindered({ moulds: moulds.map((m) => ({ ...m, left })) });
		const set = plan.activities.find((a) => a.part === 'set')!;
		const later = plan.activities.filter((a) => a.moulds?.includes('M1 successor'));
		expect(later.length).toBeGreaterThan(5);
		for (const a of later) expect(a.startMs).toBeGreaterThanOrEqual(set.endMs);
		expect(plan.activities.filter((a) => a.part === 'cast' && a.moulds?.includes('M1')).length).toBeLessThan(
			6
		);
	});
});

describe('a new plan after something happened', () => {
	const shop = workshop([
		order('1', 5, [line('l1', 12, [recipe('a'), recipe('b')])]),
		order('2', 8, [line('l2', 6, [recipe('c')])])
	]);
	const before = planOrders(shop, {}, { iterations: 60 });
	const again = (more: object, nowMs = NOW) =>
		planOrders({ ...shop, ...more, nowMs }, startsOf(before), { iterations: 60 });

	it('nothing happened: nothing moves', () => {
		expect(again({}).moved).toBe(0);
	});
	it('an afternoon that is blocked moves what lay in it, and no more than half of the rest', () => {
		const blocked = { fromMs: NOW + 4 * HOUR, untilMs: NOW + 9 * HOUR, hands: 0, note: '' };
		const after = again({ hours: { ...shop.hours, exceptions: [blocked] } });
		const lay = before.activities.filter(
			(a) => a.hands > 0 && a.endMs > blocked.fromMs && a.startMs < blocked.untilMs
		);
		expect(lay.length).toBeGreaterThan(0);
		expect(after.moved).toBeGreaterThan(0);
		expect(after.lateWeightedS).toBe(0);
		for (const a of after.activities.filter((x) => x.hands > 0))
			expect(a.startMs >= blocked.untilMs || a.endMs <= blocked.fromMs).toBe(true);
		const hands = before.activities.filter((a) => a.hands > 0).length;
		expect(after.moved - lay.length).toBeLessThan(hands / 2);
		const { words } = planDifferences(
			before,
			after,
			(id) => `Order ${id}`,
			(ms) => new Date(ms).toISOString()
		);
		expect(words.length).toBeGreaterThan(0);
	});
	it('a pull that was begun is wanted no more, and the others stay where they were', () => {
		const begun = {
			...shop,
			orders: [
				{ ...shop.orders[0]!, lines: [{ ...shop.orders[0]!.lines[0]!, pulls: 1, casting: 1 }] },
				shop.orders[1]!
			]
		};
		const after = planOrders(begun, startsOf(before), { iterations: 60 });
		expect(after.activities.some((a) => a.id.startsWith('l1/1/'))).toBe(false);
		expect(after.moved).toBe(0);
	});
	it('a pin holds and the rest goes round it; one that cannot be is refused with the reason', () => {
		const cast = before.activities.find((a) => a.id === 'l2/1/cast')!;
		const pins = { [cast.id]: NOW + DAY + 4 * HOUR };
		const after = again({ pins });
		expect(after.activities.find((a) => a.id === cast.id)).toMatchObject({
			startMs: pins[cast.id],
			pinned: true
		});
		const night = again({ pins: { [cast.id]: NOW + 14 * HOUR } });
		expect(night.status).toBe('infeasible');
		expect(night.conflict.join()).toMatch(/pull 1 of Ammonite: casting, 7 min, pinned/);
	});
});

describe('how sure a day is', () => {
	const of = (dueDays: number) => {
		const shop = workshop([order('1', dueDays, [line('l', 20, [recipe('a'), recipe('b')])])]);
		const plan = planOrders(shop, {}, { iterations: 30 });
		return { shop, plan, sure: outlooks(shop, plan, { runs: 60, seed: 3 }) };
	};
	it('surer the later it is wanted, and a seed repeats it', () => {
		const tight = of(1.8);
		const loose = of(6);
		expect(loose.sure[0]!.chance).toBe(1);
		expect(tight.sure[0]!.chance).toBeLessThan(0.6);
		expect(outlooks(loose.shop, loose.plan, { runs: 60, seed: 3 })).toEqual(loose.sure);
		expect(loose.sure[0]!.ninetyMs!).toBeGreaterThanOrEqual(loose.plan.orders[0]!.readyAtMs! - DAY);
	});
	it('a piece that often fails takes more casts nine times in ten', () => {
		const shop = (scrap: number) =>
			workshop([order('1', 9, [line('l', 20, [recipe('a'), recipe('b')], { seen: { good: 60, scrap } })])]);
		const casts = [0, 30].map((scrap) => {
			const w = shop(scrap);
			return outlooks(w, planOrders(w, {}, { iterations: 20 }), { runs: 60 })[0]!.ninetyCasts;
		});
		expect(casts[1]!).toBeGreaterThan(casts[0]! + 4);
	});
});

it('the project of the orders is one that the checker knows how to refuse', () => {
	const shop = workshop([order('1', 4, [line('l', 3, [recipe('a')])])]);
	const { project } = projectOf(shop, pullsWanted(shop), {}, openingsOf(shop));
	const atOnce = Object.fromEntries(project.activities.map((a) => [a.id, a.pinnedS ?? 0]));
	expect(breaches(project, atOnce).length).toBeGreaterThan(5);
});
