/**
 * Logarithm of the gamma function for x > 0: Lanczos' series with g = 7, nine terms (Lanczos, SIAM J. Numer.
 * Anal. 1 (1964) 86); about fifteen digits.
 */
export function lnGamma(x: number): number {
	if (!(x > 0)) throw new RangeError(`lnGamma: x must be over 0, got ${x}`);
	const g = [
		0.99999999999980993, 676.5203681218851, -1259.1392167224028, 771.32342877765313, -176.61502916214059,
		12.507343278686905, -0.13857109526572012, 9.9843695780195716e-6, 1.5056327351493116e-7
	];
	if (x < 0.5) return Math.log(Math.PI / Math.sin(Math.PI * x)) - lnGamma(1 - x);
	const y = x - 1;
	let sum = g[0]!;
	for (let i = 1; i < 9; i++) sum += g[i]! / (y + i);
	const t = y + 7.5;
	return 0.5 * Math.log(2 * Math.PI) + (y + 0.5) * Math.log(t) - t + Math.log(sum);
}

/**
 * Regularised incomplete beta function I_x(a, b), 0 ≤ x ≤ 1, a and b over 0: the continued fraction of DLMF 8.17.22
 * by Lentz' method.
 */
export function betaI(x: number, a: number, b: number): number {
	if (!(x >= 0 && x <= 1 && a > 0 && b > 0))
		throw new RangeError(`betaI: x in 0…1, a and b over 0, got ${x}, ${a}, ${b}`);
	if (x === 0 || x === 1) return x;
	if (x > (a + 1) / (a + b + 2)) return 1 - betaI(1 - x, b, a);
	const front = Math.exp(lnGamma(a + b) - lnGamma(a) - lnGamma(b) + a * Math.log(x) + b * Math.log1p(-x));
	const TINY = 1e-300;
	let c = 1;
	let d = 1 - ((a + b) * x) / (a + 1);
	d = 1 / (Math.abs(d) < TINY ? TINY : d);
	let f = d;
	for (let m = 1; m < 500; m++) {
		for (const num of [
			(m * (b - m) * x) / ((a + 2 * m - 1) * (a + 2 * m)),
			(-(a + m) * (a + b + m) * x) / ((a + 2 * m) * (a + 2 * m + 1))
		]) {
			d = 1 + num * d;
			d = 1 / (Math.abs(d) < TINY ? TINY : d);
			c = 1 + num / c;
			if (Math.abs(c) < TINY) c = TINY;
			f *= c * d;
		}
		if (Math.abs(c * d - 1) < 1e-14) break;
	}
	return Math.min(1, Math.max(0, (front * f) / a));
}
