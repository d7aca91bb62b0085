import { describe, expect, it } from 'vitest';
import { buyingList } from './buying';
import { orderPrice } from './price';
import { line, order, recipe, workshop } from './workshop.testing';

describe('what an order costs, worked by hand', () => {
	const lines = [{ id: 'l', shotId: 's', copies: 10, finishMinutes: 6, hardenHours: 24 }];
	const parts = {
		pieceName: 'Ammonite',
		resinName: 'White',
		material: 2,
		mould: 1,
		handsS: 540,
		// with the prior of four good ones and one scrap nine of ten are expected
		seen: { good: 5, scrap: 0 },
		unpriced: []
	};
	it('a quarter of an hour at 20, with material and mould, paid by the nine of ten that are good', () => {
		// (2 + 1 + 0.25 × 20) / 0.9 = 8.888…; a fifth of the price is margin: 11.111…, asked in whole hundredths
		const {
			lines: [l],
			cost,
			total
		} = orderPrice({ lines }, () => parts, 20, 20);
		expect(l!.good).toBeCloseTo(8.8889, 4);
		expect([l!.price, total]).toEqual([11.12, expect.closeTo(111.2, 9)]);
		expect(cost).toBeCloseTo(88.889, 3);
	});
	it('a material without a price is in none of it, and named once', () => {
		const two = [...lines, { ...lines[0]!, id: 'm' }];
		const { total, unpriced } = orderPrice(
			{ lines: two },
			(id) => ({ ...parts, material: 0, unpriced: id === 'l' ? ['White', 'Blue'] : ['White'] }),
			20,
			20
		);
		// (1 + 5) / 0.9 / 0.8 = 8.333…, twenty of it
		expect(total).toBeCloseTo(20 * 8.34, 9);
		expect(unpriced).toEqual(['White', 'Blue']);
	});
	it('what was never cast is taken to come out four times in five, as the plan takes it; one scrap alone is not a scrap for ever', () => {
		const priceOf = (seen: { good: number; scrap: number }) =>
			orderPrice({ lines }, () => ({ ...parts, seen }), 20, 0).lines[0]!;
		// 8 / 0.8
		expect(priceOf({ good: 0, scrap: 0 })).toMatchObject({
			good: 10,
			casts: 0,
			scrapShare: expect.closeTo(0.2, 9)
		});
		// 8 / (4 / 6)
		expect(priceOf({ good: 0, scrap: 1 }).good).toBeCloseTo(12, 9);
	});
	it('a line that nobody can cast has no price, and a margin that is none is refused', () => {
		expect(orderPrice({ lines }, () => undefined, 20, 20)).toEqual({
			lines: [],
			cost: 0,
			total: 0,
			unpriced: []
		});
		expect(() => orderPrice({ lines }, () => parts, 20, 100)).toThrow('a margin is 0 to 95 %, got 100');
	});
});

it('the buying list: what all casts take against the shelf, and when it runs out', () => {
	const shop = workshop([order('1', 4, [line('l', 5, [recipe('a')], { seen: { good: 900, scrap: 0 } })])], {
		stock: [{ id: 'white', name: 'White A', leftG: 200 }]
	});
	const [b] = buyingList(shop, [{ lineId: 'l', part: 'cast', batch: 0, startMs: shop.nowMs + 1000 }]);
	// five casts of 60 g
	expect(b).toMatchObject({
		takesG: 300,
		leftG: 200,
		shortG: 100,
		runsOutMs: shop.nowMs + 1000,
		orders: ['Order 1']
	});
});
