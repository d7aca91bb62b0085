import { describe, expect, it } from 'vitest';
import { orderPrice } from './price';

describe('what an order costs, worked by hand', () => {
	const lines = [{ id: 'l', shotId: 's', copies: 10, finishMinutes: 6, hardenHours: 24 }];
	const parts = {
		pieceName: 'Ammonite',
		resinName: 'White',
		material: 2,
		mould: 1,
		handsS: 540,
		potShare: null,
		// with the prior of four good ones and one scrap nine of ten are expected
		seen: { good: 5, scrap: 0 },
		unpriced: []
	};
	const rates = { hourly: 20, potCycle: 0 };
	it('nine minutes at 20 an hour, material and mould, paid by the nine of ten that are good; six more to finish each of those', () => {
		// (2 + 1 + 0.15 × 20) / 0.9 + 0.1 × 20 = 8.666…; a fifth of the price is margin: 10.833…, asked in whole hundredths
		const {
			lines: [l],
			cost,
			total
		} = orderPrice({ lines }, () => parts, rates, 20);
		expect(l!.good).toBeCloseTo(8.6667, 4);
		expect([l!.price, total]).toEqual([10.84, expect.closeTo(108.4, 9)]);
		expect(cost).toBeCloseTo(86.667, 3);
		expect([l!.hands, l!.pot]).toEqual([5, null]);
	});
	it('a material without a price is in none of it, and named once', () => {
		const two = [...lines, { ...lines[0]!, id: 'm' }];
		const { total, unpriced } = orderPrice(
			{ lines: two },
			(id) => ({ ...parts, material: 0, unpriced: id === 'l' ? ['White', 'Blue'] : ['White'] }),
			rates,
			20
		);
		// ((1 + 3) / 0.9 + 2) / 0.8 = 8.055…, twenty of it
		expect(total).toBeCloseTo(20 * 8.06, 9);
		expect(unpriced).toEqual(['White', 'Blue']);
	});
	it('what was never cast is taken to come out four times in five, as the plan takes it; one scrap alone is not a scrap for ever', () => {
		const priceOf = (seen: { good: number; scrap: number }) =>
			orderPrice({ lines }, () => ({ ...parts, seen }), rates, 0).lines[0]!;
		// 6 / 0.8 + 2
		expect(priceOf({ good: 0, scrap: 0 })).toMatchObject({
			good: 9.5,
			seen: { good: 0, scrap: 0 },
			scrapShare: expect.closeTo(0.2, 9)
		});
		// 6 / (4 / 6) + 2
		expect(priceOf({ good: 0, scrap: 1 }).good).toBeCloseTo(11, 9);
	});
	it('mending is spent on good ones, a cycle of the pot on every cast', () => {
		const seen = { good: 5, scrap: 0, mended: { copies: 1, notedCopies: 1, notedS: 900 } };
		const of = (potShare: number | null) =>
			orderPrice({ lines }, () => ({ ...parts, seen, potShare }), { hourly: 20, potCycle: 1.8 }, 0).lines[0]!;
		// 15 min for one of five: 3 min, one of money, more than 8.666…
		expect(of(null).good).toBeCloseTo(9.6667, 4);
		expect(of(null).hands).toBeCloseTo(6, 9);
		// two copies from a pull: 0.9 each, a tenth of the casts for nothing
		expect(of(0.5)).toMatchObject({ pot: 0.9, good: expect.closeTo(10.6667, 4) });
	});
	it('a line that nobody can cast has no price, and a margin that is none is refused', () => {
		expect(orderPrice({ lines }, () => undefined, rates, 20)).toEqual({
			lines: [],
			cost: 0,
			total: 0,
			unpriced: []
		});
		expect(() => orderPrice({ lines }, () => parts, rates, 100)).toThrow('a margin is 0 to 95 %, got 100');
	});
});
