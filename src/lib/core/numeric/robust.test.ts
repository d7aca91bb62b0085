import jstatModule from 'jstat';
import { describe, expect, it } from 'vitest';
import { median, robustSd, winsorisedMean } from './robust';

const { jStat } = jstatModule as unknown as {
	jStat: { normal: { inv(p: number, mean: number, sd: number): number }; median(v: number[]): number };
};

/** Numbers between 0 and 1 that come again: mulberry32, public domain. */
function chance(seed: number) {
	let a = seed;
	return () => {
		a = (a + 0x6d2b79f5) >>> 0;
		let t = Math.imul(a ^ (a >>> 15), a | 1);
		t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
		return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
	};
}

describe('robust figures of a few readings', () => {
	it('the middle is that of an independent library', () => {
		const next = chance(3);
		for (let n = 1; n < 12; n++) {
			const values = Array.from({ length: n }, () => next() * 100 - 50);
			expect(median(values)).toBeCloseTo(jStat.median(values), 12);
		}
	});
	it('Winsorised: the ends are moved to their neighbours, worked by hand', () => {
		expect(winsorisedMean([10, 11, 12, 13, 60])).toBe((11 + 11 + 12 + 13 + 13) / 5);
		expect(winsorisedMean([4, 90, 5])).toBe(5);
		expect(winsorisedMean([4, 6])).toBe(5);
		expect(winsorisedMean([7])).toBe(7);
	});
	it('the scale of a few normal readings is right in the mean: the factors of Croux & Rousseeuw, simulated', () => {
		for (const n of [2, 3, 4, 5]) {
			const next = chance(n);
			let sum = 0;
			for (let run = 0; run < 20_000; run++)
				sum += robustSd(Array.from({ length: n }, () => jStat.normal.inv(next(), 10, 2)));
			expect(sum / 20_000 / 2, `${n} readings`).toBeCloseTo(1, 1);
		}
	});
	it('one wild reading in five moves the scale little', () => {
		expect(robustSd([10, 11, 12, 13, 1e6])).toBe(robustSd([10, 11, 12, 13, 14]));
	});
});
