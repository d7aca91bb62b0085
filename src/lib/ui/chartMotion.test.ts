import { expect, it } from 'vitest';
import { pathOf, stretch } from './chartMotion';

const same = (v: number) => v;

it('a curve is a path of straight pieces, broken where there is no number', () => {
	// SVG 2, 9.3: M begins a piece, L goes on with it
	expect(pathOf([0, 1, 2.25], [5, 6, 7], same, (v) => 2 * v)).toBe('M0.0,10.0L1.0,12.0L2.3,14.0');
	expect(pathOf([0, 1, 2, 3], [1, NaN, 3, 4], same, same)).toBe('M0.0,1.0M2.0,3.0L3.0,4.0');
	// the logarithm of no time is none
	expect(pathOf([0, 10], [1, 1], Math.log10, same)).toBe('M1.0,1.0');
	expect(pathOf([], [], same, same)).toBe('');
});

it('a stretch is carried onto its new place, a line onto its', () => {
	const carried = (transform: string, at: number) => {
		const [, shift, scale] = /translate\((.*),0\) scale\((.*),1\)/.exec(transform)!;
		return Number(shift) + Number(scale) * at;
	};
	for (const [was, is] of [
		[
			[100, 300],
			[150, 250]
		],
		[
			[40, 40],
			[75, 75]
		],
		[
			[10, 400],
			[10, 400]
		]
	] as const) {
		expect(carried(stretch(was, is), was[0])).toBeCloseTo(is[0], 1);
		expect(carried(stretch(was, is), was[1])).toBeCloseTo(is[1], 1);
	}
});
