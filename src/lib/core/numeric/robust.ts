/** Median absolute deviation to standard deviation of a normal spread. */
const MAD_TO_SD = 1.4826;
/** The same for so few readings, from two on: Croux & Rousseeuw, COMPSTAT 1992, 411 (from memory; simulated in the test). */
const FEW: readonly number[] = [1.196, 1.495, 1.363, 1.206, 1.2, 1.14, 1.129, 1.107];

const sorted = (values: readonly number[]) => [...values].sort((a, b) => a - b);

/**
 * The middle of readings; of an even number the mean of the two in the middle.
 * @param values at least one
 * @example
 * median([3, 1, 2]); // 2
 */
export function median(values: readonly number[]): number {
	const all = sorted(values);
	const half = all.length >> 1;
	return all.length % 2 ? all[half]! : (all[half - 1]! + all[half]!) / 2;
}

/**
 * Winsorised mean: of three or more the lowest and the highest are moved to their neighbours first, so that one pour that
 * went wrong moves it little. Tukey, in: Contributions to Probability and Statistics (1960) 448.
 * @param values at least one
 * @example
 * winsorisedMean([10, 11, 12, 13, 60]); // 12
 */
export function winsorisedMean(values: readonly number[]): number {
	const all = sorted(values);
	if (all.length >= 3) {
		all[0] = all[1]!;
		all[all.length - 1] = all[all.length - 2]!;
	}
	return all.reduce((sum, v) => sum + v, 0) / all.length;
}

/**
 * Standard deviation by the median absolute deviation, with the factor for few readings.
 * @param values at least two
 * @example
 * robustSd([10, 11, 12, 13, 60]); // 1.788
 */
export function robustSd(values: readonly number[]): number {
	const middle = median(values);
	const mad = median(values.map((v) => Math.abs(v - middle)));
	const few = FEW[values.length - 2] ?? values.length / (values.length - 0.8);
	return few * MAD_TO_SD * mad;
}
