import jStat from 'jstat';
import { describe, expect, it } from 'vitest';
import { castsNeeded, yieldOf } from './needed';
import { normalQuantile, sureLeft } from './pulls';

/** Chance that of n casts at least so many are good, by adding up the beta-binomial with another library's log-beta. */
function chanceOfEnough(n: number, wanted: number, a: number, b: number): number {
	let sum = 0;
	for (let k = wanted; k <= n; k++)
		sum += Math.exp(jStat.combinationln(n, k) + jStat.betaln(k + a, n - k + b) - jStat.betaln(a, b));
	return sum;
}

describe('casts that are enough four times in five', () => {
	it.each([
		[1, 0, 0],
		[6, 0, 0],
		[40, 96, 4],
		[40, 60, 5],
		[12, 3, 3],
		[100, 500, 1]
	])('%i wanted after %i good and %i scrap: so many, and one fewer is not enough', (wanted, good, scrap) => {
		const n = castsNeeded(wanted, { good, scrap });
		const { a, b } = yieldOf({ good, scrap });
		expect(n).toBeGreaterThanOrEqual(wanted);
		expect(chanceOfEnough(n, wanted, a, b)).toBeGreaterThanOrEqual(0.8);
		if (n > wanted) expect(chanceOfEnough(n - 1, wanted, a, b)).toBeLessThan(0.8);
	});
	it('none for none, and never a number that is none', () => {
		expect(castsNeeded(0, { good: 0, scrap: 0 })).toBe(0);
		expect(() => castsNeeded(NaN, { good: 0, scrap: 0 })).toThrow(
			'castsNeeded: wanted is 0 or more, got NaN'
		);
	});
});

it('quantiles of the normal distribution as another library has them, to half a thousandth', () => {
	for (const p of [0.01, 0.1, 0.2, 0.5, 0.8, 0.975])
		expect(normalQuantile(p)).toBeCloseTo(jStat.normal.inv(p, 0, 1), 3);
});

it('a mould is counted on for fewer pulls the less may be risked', () => {
	const left = { low: 10, median: 20, high: 40 };
	expect(sureLeft(left, 0.5)).toBe(20);
	expect(sureLeft(left, 0.2)).toBeLessThan(20);
	// the tenth of a hundred is what is called low
	expect(sureLeft(left, 0.1)).toBeGreaterThanOrEqual(9);
	expect(sureLeft(left, 0.1)).toBeLessThanOrEqual(11);
});
