import { describe, expect, it } from 'vitest';
import { planOrders } from './planOrders';
import { DAY, HOUR, line, NOW, order, recipe, workshop } from './workshop.testing';

/** A cure that takes the night: one pull a day from each mould. */
const slow = { cureS: { day: 20 * 3600, night: 20 * 3600 } };
const plain = { finishS: 0, hardenS: 0, seen: { good: 999, scrap: 0 } };

describe('no plan ends before', () => {
	it('counts the nights between pulls of one mould: alike ones come one after another in any case', () => {
		const shop = workshop([order('1', 9, [line('l1', 4, [recipe('a', slow)], plain)])]);
		const plan = planOrders(shop);
		expect(plan.orders[0]!.casts).toBe(4);
		// from Monday morning on four casts in one mould are out on Friday morning, whatever is tried
		expect(plan.boundMs).toBeGreaterThan(NOW + 3 * DAY);
		expect(plan.finishMs - plan.boundMs).toBeLessThan(HOUR);
	});
	it('does not rest on whose turn it is where unlike ones share a mould', () => {
		const orders = (first: number, second: number) =>
			workshop([
				order('1', first, [line('l1', 2, [recipe('a', slow)], plain)]),
				order('2', second, [line('l2', 2, [recipe('a', { cureS: { day: 1800, night: 1800 } })], plain)])
			]);
		const [one, other] = [planOrders(orders(5, 9)), planOrders(orders(9, 5))];
		// another order of the same work: the bound of each holds for both
		const soonest = Math.min(one.finishMs, other.finishMs);
		expect(one.boundMs).toBeLessThanOrEqual(soonest);
		expect(other.boundMs).toBeLessThanOrEqual(soonest);
	});
});
