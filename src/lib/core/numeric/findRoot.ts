/** A root, or the closest that was found. */
export interface RootResult {
	readonly x: number;
	readonly converged: boolean;
	readonly evaluations: number;
}

/**
 * Root of a continuous function inside a bracket: Brent's idea kept simple, regula falsi with the
 * Illinois weight (Dowell & Jarratt, BIT 11 (1971) 168), which never leaves the bracket.
 * @param f function of x; f(lo) and f(hi) must not have the same sign
 * @param tolX stop when the bracket is this narrow
 */
export function findRoot(
	f: (x: number) => number,
	lo: number,
	hi: number,
	tolX: number,
	maxEvaluations = 60
): RootResult {
	let [a, b] = [lo, hi];
	let fa = f(a);
	let fb = f(b);
	if (fa === 0) return { x: a, converged: true, evaluations: 2 };
	if (fb === 0) return { x: b, converged: true, evaluations: 2 };
	if (!(fa * fb < 0)) {
		return { x: Math.abs(fa) < Math.abs(fb) ? a : b, converged: false, evaluations: 2 };
	}
	let x = a;
	for (let evaluations = 3; evaluations <= maxEvaluations; evaluations++) {
		const next = (a * fb - b * fa) / (fb - fa);
		const done = Math.abs(next - x) < tolX || Math.abs(b - a) < tolX;
		x = next;
		if (done) return { x, converged: true, evaluations };
		const fx = f(x);
		if (fx === 0) return { x, converged: true, evaluations };
		if (fx * fb < 0) {
			a = b;
			fa = fb;
		} else {
			fa /= 2;
		}
		b = x;
		fb = fx;
	}
	return { x, converged: false, evaluations: maxEvaluations };
}
