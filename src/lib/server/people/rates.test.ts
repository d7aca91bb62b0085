import { describe, expect, it } from 'vitest';
import { Lines, Rates } from './rates';

describe('how often one may ask', () => {
	it('as many at once as the bucket holds, then as fast as it fills, each for themselves', () => {
		const rates = new Rates({ perS: 10, atOnce: 5 });
		for (let n = 0; n < 5; n++) expect(rates.take('a', 1000)).toBe(0);
		expect(rates.take('a', 1000)).toBe(100);
		expect(rates.take('b', 1000)).toBe(0);
		expect(rates.take('a', 1099)).toBeGreaterThan(0);
		expect(rates.take('a', 1100)).toBe(0);
		// in a second no more than the bucket and what filled it
		let taken = 0;
		for (let ms = 2000; ms < 3000; ms++) if (rates.take('a', ms) === 0) taken++;
		expect(taken).toBeGreaterThanOrEqual(14);
		expect(taken).toBeLessThanOrEqual(15);
	});
	it('a clock that is set back neither fills nor empties it', () => {
		const rates = new Rates({ perS: 1, atOnce: 2 });
		expect([rates.take('a', 9000), rates.take('a', 5000), rates.take('a', 5000)]).toEqual([0, 0, 1000]);
	});
});

describe('how many lines are open', () => {
	it('so many for each, and one that is closed twice is one', () => {
		const lines = new Lines(2);
		const [one, two] = [lines.open('a'), lines.open('a')];
		expect(lines.open('a')).toBeUndefined();
		expect(lines.open('b')).toBeDefined();
		one!();
		one!();
		expect(lines.open('a')).toBeDefined();
		expect(lines.open('a')).toBeUndefined();
		two!();
		expect(lines.open('a')).toBeDefined();
	});
});
