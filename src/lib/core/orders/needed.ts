/** Before anything was seen of a piece: as if four of five had come out (common practice, no source). */
const PRIOR = { good: 4, scrap: 1 };
/** The plan casts so many that enough are good so often. */
const SURE = 0.8;
const MOST_CASTS = 5000;

/**
 * Share that comes out, by a Beta posterior with a cautious prior.
 * @example
 * yieldOf({ good: 15, scrap: 0 }).mean; // 0.95
 */
export const yieldOf = ({
	good,
	scrap
}: {
	good: number;
	scrap: number;
}): { a: number; b: number; mean: number } => {
	const a = PRIOR.good + good;
	const b = PRIOR.scrap + scrap;
	return { a, b, mean: a / (a + b) };
};

/**
 * How many casts it takes so that enough of them are good four times in five: the number of casts is beta negative binomial
 * (Johnson, Kemp & Kotz, Univariate Discrete Distributions, 3rd ed., 2005, 6.2.3).
 * @param wanted good ones still wanted, 0 or more
 * @throws RangeError for a number that is none
 * @example
 * castsNeeded(40, { good: 96, scrap: 4 }); // 43
 */
export function castsNeeded(wanted: number, seen: { good: number; scrap: number }, sure = SURE): number {
	if (!(wanted >= 0)) throw new RangeError(`castsNeeded: wanted is 0 or more, got ${wanted}`);
	if (wanted === 0) return 0;
	const { a, b } = yieldOf(seen);
	// chance that exactly k fail before the last that is wanted, each from the one before
	let term = 1;
	for (let i = 0; i < wanted; i++) term *= (a + i) / (a + b + i);
	let sum = term;
	let fails = 0;
	while (sum < sure && wanted + fails < MOST_CASTS) {
		term *= ((wanted + fails) * (b + fails)) / ((fails + 1) * (a + b + wanted + fails));
		fails++;
		sum += term;
	}
	return wanted + fails;
}
