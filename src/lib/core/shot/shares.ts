/**
 * Shares in percent, to a tenth, that make a whole again after one came or went: what comes is taken from the others
 * in proportion, what goes is given to them. What is not known counts as nothing; nothing at all is shared alike.
 * @example
 * wholeShares([75, 75]); // [50, 50]
 */
export function wholeShares(shares: readonly (number | undefined)[]): number[] {
	const known = shares.map((s) => (s !== undefined && Number.isFinite(s) && s > 0 ? s : 0));
	const sum = known.reduce((all, s) => all + s, 0);
	return known.map((s) => Math.round(1000 * (sum > 0 ? s / sum : 1 / known.length)) / 10);
}
