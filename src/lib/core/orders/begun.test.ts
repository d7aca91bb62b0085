import { describe, expect, it } from 'vitest';
import { outlooks } from './chance';
import { planOrders } from './planOrders';
import { runList } from './runList';
import type { BegunPull } from './snapshot';
import { DAY, HOUR, line, NOW, order, recipe, workshop } from './workshop.testing';

const begun = (over: Partial<BegunPull> = {}): BegunPull => ({
	number: 1,
	copies: 1,
	moulds: ['M1'],
	castAtMs: NOW - HOUR,
	outAtMs: NOW,
	...over
});
const shopOf = (pulls: readonly BegunPull[], copies = pulls.length) =>
	workshop([
		order('1', 2, [
			line('l1', copies, [recipe('a')], { casting: pulls.length, pulls: pulls.length, begun: pulls })
		])
	]);

describe('what was begun', () => {
	it('is still finished by hands, and ready no sooner than it is hard', () => {
		const shop = shopOf([begun()]);
		const plan = planOrders(shop);
		const finish = plan.activities.find((a) => a.part === 'finish')!;
		expect(finish).toMatchObject({ id: 'l1/1/finish', hands: 1, begun: true, number: 1, moulds: ['M1'] });
		// hands from nine on
		expect(finish.startMs).toBeGreaterThanOrEqual(NOW + HOUR);
		expect(plan.orders[0]).toMatchObject({ casts: 0, readyAtMs: NOW - HOUR + DAY, lateMs: 0 });
		expect(plan.activities.some((a) => a.part === 'cast')).toBe(false);
	});
	it('in its mould it waits until it is out, and a late one is said to be late', () => {
		const plan = planOrders(shopOf([begun({ castAtMs: NOW, outAtMs: NOW + 50 * HOUR })]));
		const finish = plan.activities.find((a) => a.part === 'finish')!;
		expect(finish.startMs).toBeGreaterThanOrEqual(NOW + 50 * HOUR);
		expect(plan.orders[0]!.lateMs).toBe(finish.endMs - plan.orders[0]!.dueAtMs);
		expect(
			outlooks(shopOf([begun({ castAtMs: NOW, outAtMs: NOW + 50 * HOUR })]), plan, { runs: 30 })[0]!.chance
		).toBe(0);
	});
	it('takes the hands from what is still to be cast, and keeps its number for itself', () => {
		const shop = shopOf([begun({ copies: 2 }), begun({ number: 3, moulds: ['M2'] })], 5);
		const plan = planOrders(shop, {}, { iterations: 30 });
		const numbers = plan.activities.filter((a) => a.part === 'cast').map((a) => a.number);
		expect(numbers).not.toContain(1);
		expect(numbers).not.toContain(3);
		const working = plan.activities.filter((a) => a.hands > 0);
		for (const [k, a] of working.entries())
			for (const b of working.slice(k + 1)) expect(b.startMs >= a.endMs || a.startMs >= b.endMs).toBe(true);
		// twice five minutes for two copies
		const two = working.find((a) => a.id === 'l1/1/finish')!;
		expect(two.endMs - two.startMs).toBe(600_000);
	});
	it('stands in the list of today by itself, not as a step of another pull', () => {
		const plan = planOrders(shopOf([begun(), begun({ number: 2, moulds: ['M2'] })]));
		const lines = runList(plan.activities, NOW, NOW + DAY, [{ fromMs: NOW + HOUR, untilMs: NOW + 9 * HOUR }]);
		expect(lines.map((l) => [l.part, l.number])).toEqual([
			['finish', 1],
			['finish', 2]
		]);
	});
});
