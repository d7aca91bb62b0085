import fc from 'fast-check';
import { expect, it } from 'vitest';
import { roundedBand } from './band';

it('a band is rounded to what it is sure of', () => {
	expect(roundedBand(119.6, 188.2)).toEqual([110, 190]);
	expect(roundedBand(1020, 4800)).toEqual([600, 4800]);
	expect(roundedBand(59.2, 61)).toEqual([59, 61]);
});
it('and never looks surer than it is, nor by much less sure', () => {
	fc.assert(
		fc.property(
			fc.double({ min: 1, max: 1e5, noNaN: true }),
			fc.double({ min: 1.05, max: 8, noNaN: true }),
			(low, times) => {
				const [a, b] = roundedBand(low, low * times);
				expect(a).toBeLessThanOrEqual(low + 1e-6);
				expect(b).toBeGreaterThanOrEqual(low * times - 1e-6);
				expect(b - a).toBeLessThanOrEqual(Math.max(low * times - low + 2, (low * times - low) * 1.4) + 1e-6);
			}
		)
	);
});
