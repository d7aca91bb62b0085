/** A root, or the closest that was found. */
interface RootResult {
	readonly x: number;
	readonly converged: boolean;
	readonly evaluations: number;
}

/**
 * Root of a continuous function inside a bracket: regula falsi with the Illinois weight (Dowell & Jarratt, BIT 11
 * (1971) 168), halved where that is slow. It has converged when a change of sign is closed in to `tolX`, and never
 * for a point that was not looked at.
 * @param f function of x; f(lo) and f(hi) must not have the same sign
 * @param tolX width of the bracket at which it stops
 */
export function findRoot(
	f: (x: number) => number,
	lo: number,
	hi: number,
	tolX: number,
	maxEvaluations = 120
): RootResult {
	// b is the newest point, a the other side of the root; the weight of a is halved while it stays
	let [a, b] = [lo, hi];
	let fa = f(a);
	let fb = f(b);
	if (fa === 0) return { x: a, converged: true, evaluations: 2 };
	if (fb === 0) return { x: b, converged: true, evaluations: 2 };
	// by their signs: a product of two tiny values is nothing
	if (!(Math.sign(fa) * Math.sign(fb) < 0)) {
		return { x: Math.abs(fa) < Math.abs(fb) ? a : b, converged: false, evaluations: 2 };
	}
	let weighted = fa;
	let widths = [Infinity, Infinity, Math.abs(b - a)];
	for (let evaluations = 3; evaluations <= maxEvaluations; evaluations++) {
		const width = Math.abs(b - a);
		// as many halvings as steps are what bisection would have given
		const slow = width > widths[0]! / 2;
		let x = slow ? (a + b) / 2 : (a * fb - b * weighted) / (fb - weighted);
		// the newest point is as good as the root: one step past it closes the bracket
		if (Math.abs(x - b) < tolX / 2) x = b + Math.sign(a - b) * Math.min(0.9 * tolX, width / 2);
		const fx = f(x);
		if (fx === 0) return { x, converged: true, evaluations };
		if (Math.sign(fx) !== Math.sign(fb)) {
			[a, fa] = [b, fb];
			weighted = fa;
		} else weighted = slow ? fa : weighted / 2;
		[b, fb] = [x, fx];
		if (Math.abs(b - a) <= tolX)
			return { x: Math.abs(fa) < Math.abs(fb) ? a : b, converged: true, evaluations };
		widths = [widths[1]!, widths[2]!, Math.abs(b - a)];
	}
	return { x: Math.abs(fa) < Math.abs(fb) ? a : b, converged: false, evaluations: maxEvaluations };
}
