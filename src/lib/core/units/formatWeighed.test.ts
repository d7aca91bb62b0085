import { expect, it } from 'vitest';
import { formatQuantity } from './formatQuantity';
import { formatWeighed, weighedTogether } from './formatWeighed';

it('a mass is said in the step of the scale that weighs it', () => {
	expect(formatWeighed(57.7, 'metric', 1)).toBe('58\u202fg');
	expect(formatWeighed(169.66, 'metric', 0.1)).toBe('169.7\u202fg');
	expect(formatWeighed(169.66, 'metric', 0.5)).toBe('169.5\u202fg');
	expect(formatWeighed(169.66, 'metric', 0.05)).toBe('169.65\u202fg');
	expect(formatWeighed(169.66, 'metric', 2)).toBe('170\u202fg');
	expect(formatWeighed(12_345.6, 'metric', 1)).toBe('12.346\u202fkg');
});

it('in ounces it keeps as many decimals as the step is worth', () => {
	// NIST Handbook 44, appendix C: one avoirdupois ounce is 28.349523125 g
	expect(formatWeighed(28.349523125, 'us', 0.1)).toBe('1.000\u202foz');
	expect(formatWeighed(170, 'us', 1)).toBe('6.00\u202foz');
	expect(formatWeighed(453.59237 * 30, 'us', 1)).toBe('30.000\u202flb');
});

it('what the scale is too coarse for is said as it is, and a step of nothing is refused', () => {
	expect(formatWeighed(3.93, 'metric', 1)).toBe('3.93\u202fg');
	expect(formatWeighed(9.94, 'metric', 1)).toBe('9.94\u202fg');
	expect(formatWeighed(10.4, 'metric', 1)).toBe('10\u202fg');
	expect(formatWeighed(0.35, 'metric', 1)).toBe(formatQuantity(0.35, 'mass', 'metric'));
	expect(formatWeighed(0, 'metric', 1)).toBe('0\u202fg');
	expect(formatWeighed(NaN, 'us', 1)).toBe('–');
	expect(() => formatWeighed(1, 'metric', 0)).toThrow(/over 0 g, got 0/);
});

it('never differs from the mass by more than half a step', () => {
	for (const stepG of [0.01, 0.05, 0.1, 0.5, 1, 2, 5])
		for (let massG = stepG; massG < 900; massG *= 1.37)
			expect(Math.abs(Number.parseFloat(formatWeighed(massG, 'metric', stepG)) - massG)).toBeLessThanOrEqual(
				stepG / 2 + 1e-9
			);
});

it('a whole is the sum of what stands beside it', () => {
	expect(weighedTogether(139.3, [70.6, 68.7], 1)).toBeCloseTo(140, 9);
	expect(weighedTogether(139.3, [70.6, 68.7], 0.1)).toBeCloseTo(139.3, 9);
	// pigment goes on a finer scale, and a catalyst in drops is in the whole alone
	expect(weighedTogether(143.2, [70.6, 68.7, 3.9], 1)).toBeCloseTo(143.9, 9);
	for (let i = 1; i < 200; i++) {
		const [a, b] = [i * 1.37, i * 0.93];
		const shown = [a, b, weighedTogether(a + b, [a, b], 1)].map((g) =>
			Number.parseFloat(formatWeighed(g, 'metric', 1))
		);
		if (a >= 10 && b >= 10) expect(shown[0]! + shown[1]!).toBe(shown[2]);
	}
	expect(() => weighedTogether(1, [1], 0)).toThrow(/over 0 g/);
});
