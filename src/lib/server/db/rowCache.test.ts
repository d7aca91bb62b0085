import { describe, expect, it } from 'vitest';
import { RowCache, stampOf } from './rowCache';

describe('rows that are kept for as long as they do not change', () => {
	it('makes a value once for each state of the row', () => {
		const kept = new RowCache<{ n: number }>();
		let made = 0;
		const ask = (stamp: string) => kept.get('a', stamp, () => ({ n: ++made }));
		expect([ask('1'), ask('1'), ask('2'), ask('2')].map((v) => v.n)).toEqual([1, 1, 2, 2]);
		// an older state is not kept beside the newer one: it cannot come back unseen
		expect(ask('1').n).toBe(3);
		expect(kept.peek('a', '2')).toBeUndefined();
		expect(kept.peek('b', '1')).toBeUndefined();
	});

	it('nobody changes what everybody gets', () => {
		const kept = new RowCache<{ list: { n: number }[] }>();
		const value = kept.get('a', '1', () => ({ list: [{ n: 1 }] }));
		expect(() => value.list.push({ n: 2 })).toThrow(TypeError);
		expect(() => (value.list[0]!.n = 5)).toThrow(TypeError);
		expect(kept.peek('a', '1')).toEqual({ list: [{ n: 1 }] });
	});

	it('the least used go when there are too many', () => {
		const kept = new RowCache<{ n: number }>(2);
		for (const n of [1, 2, 3]) kept.get(String(n), '', () => ({ n }));
		expect(kept.peek('1', '')).toBeUndefined();
		expect(kept.peek('3', '')).toEqual({ n: 3 });
	});

	it('a stamp tells versions and moments apart, as dates and as the database writes them', () => {
		const at = new Date('2026-03-01T10:00:00.001Z');
		const stamps = [
			stampOf({ version: 1, updatedAt: at }),
			stampOf({ version: 2, updatedAt: at }),
			stampOf({ version: 1, updatedAt: new Date(at.getTime() + 1) }),
			stampOf({ version: 1, updatedAt: '2026-03-01 10:00:00.001' })
		];
		expect(new Set(stamps).size).toBe(4);
	});
});
