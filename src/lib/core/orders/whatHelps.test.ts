import { describe, expect, it } from 'vitest';
import { planOrders } from './planOrders';
import { whatHelps } from './whatHelps';
import { DAY, line, order, recipe, workshop } from './workshop.testing';

const helped = (shop: ReturnType<typeof workshop>) => {
	const plan = planOrders(shop, {}, { iterations: 40 });
	return { plan, helps: whatHelps(shop, plan, '1', { iterations: 40 }) };
};

describe('what would bring an order forward', () => {
	it('where hands are short: another pair, by about half of the work', () => {
		const busy = recipe('a', {
			blocks: [{ durationS: 3000, leastS: 0, mostS: 0 }],
			cureS: { day: 300, night: 300 }
		});
		const shop = workshop([
			order('1', 9, [line('l', 24, [busy, { ...busy, mouldIds: ['b'] }, { ...busy, mouldIds: ['c'] }])])
		]);
		const { plan, helps } = helped(shop);
		expect(helps[0]).toMatchObject({ kind: 'hands' });
		expect(helps[0]!.gainMs).toBeGreaterThan((plan.orders[0]!.readyAtMs! - shop.nowMs - DAY) * 0.3);
		expect(helps[0]!.handsHours).toBeGreaterThan(4);
	});
	it('where the mould is full nearly all day: another mould, and no more hands', () => {
		const slow = recipe('a', { cureS: { day: 7000, night: 7000 } });
		const { helps } = helped(workshop([order('1', 9, [line('l', 24, [slow])])]));
		expect(helps[0]).toMatchObject({ kind: 'mould', mouldId: 'a' });
		expect(helps.some((h) => h.kind === 'hands' && h.gainMs > helps[0]!.gainMs / 4)).toBe(false);
	});
	it('nothing is said of an order that cannot be planned whole, or of one that nobody knows', () => {
		const short = workshop([order('1', 9, [line('l', 24, [recipe('a')])])], {
			stock: [{ id: 'white', name: 'White A', leftG: 100 }]
		});
		expect(helped(short).helps).toEqual([]);
		expect(whatHelps(short, planOrders(short), 'another')).toEqual([]);
	});
});
