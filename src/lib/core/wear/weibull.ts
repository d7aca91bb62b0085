/** One mould's life: pulls that it gave, and whether it is over. */
export interface Life {
	pulls: number;
	retired: boolean;
}

export interface WeibullFit {
	shape: number;
	scale: number;
	medianPulls: number;
	/** Logarithm of the likelihood at the fit. */
	logLikelihood: number;
	retired: number;
	alive: number;
	/** The root was found; otherwise shape and scale mean nothing. */
	converged: boolean;
}

/**
 * Log-likelihood of a Weibull distribution with lives that are not over yet.
 * @example
 * weibullLogLikelihood([{ pulls: 30, retired: true }], 1, 30); // -4.4012
 */
export function weibullLogLikelihood(lives: readonly Life[], shape: number, scale: number): number {
	return lives.reduce((sum, { pulls, retired }) => {
		const z = pulls / scale;
		return sum - z ** shape + (retired ? Math.log(shape / scale) + (shape - 1) * Math.log(z) : 0);
	}, 0);
}

/**
 * Weibull distribution of lives by maximum likelihood, moulds in use censored. The shape k solves
 * Σtᵏ ln t / Σtᵏ − 1/k − Σᵈ ln t / d = 0, which rises in k; the scale follows, λᵏ = Σtᵏ/d
 * (Cohen, Technometrics 7 (1965) 579). Nothing with fewer than three retired moulds.
 * @example
 * fitWeibull([
 *   { pulls: 30, retired: true },
 *   { pulls: 50, retired: true },
 *   { pulls: 60, retired: true },
 *   { pulls: 40, retired: false }
 * ])?.shape; // 5.0475
 */
export function fitWeibull(lives: readonly Life[]): WeibullFit | undefined {
	const known = lives.filter((l) => l.pulls > 0);
	const over = known.filter((l) => l.retired);
	if (over.length < 3 || new Set(over.map((l) => l.pulls)).size < 2) return undefined;
	const most = Math.max(...known.map((l) => l.pulls));
	const meanLog = over.reduce((sum, l) => sum + Math.log(l.pulls / most), 0) / over.length;
	const sums = (k: number) => {
		let [s, sLog] = [0, 0];
		for (const { pulls } of known) {
			const t = pulls / most;
			const p = t ** k;
			s += p;
			sLog += p * Math.log(t);
		}
		return { s, sLog };
	};
	const f = (k: number) => {
		const { s, sLog } = sums(k);
		return sLog / s - 1 / k - meanLog;
	};
	let [low, high] = [0.02, 200];
	const converged = f(low) < 0 && f(high) > 0;
	for (let i = 0; i < 200 && converged; i++) {
		const mid = Math.sqrt(low * high);
		if (mid <= low || mid >= high) break;
		if (f(mid) < 0) low = mid;
		else high = mid;
	}
	const shape = Math.sqrt(low * high);
	const scale = most * (sums(shape).s / over.length) ** (1 / shape);
	return {
		shape,
		scale,
		medianPulls: scale * Math.LN2 ** (1 / shape),
		logLikelihood: weibullLogLikelihood(known, shape, scale),
		retired: over.length,
		alive: known.length - over.length,
		converged
	};
}

/**
 * Share of moulds still in use after so many pulls, 0…1.
 * @example
 * weibullSurvival({ shape: 1, scale: 30 }, 30); // 0.36788
 */
export function weibullSurvival(fit: Pick<WeibullFit, 'shape' | 'scale'>, pulls: number): number {
	return Math.exp(-((Math.max(0, pulls) / fit.scale) ** fit.shape));
}

/**
 * The same by the lives alone: product-limit steps (Kaplan & Meier, J. Am. Stat. Assoc. 53 (1958) 457).
 * @example
 * productLimit([
 *   { pulls: 30, retired: true },
 *   { pulls: 40, retired: false },
 *   { pulls: 60, retired: true }
 * ]); // [{ pulls: 30, share: 0.66667 }, { pulls: 60, share: 0 }]
 */
export function productLimit(lives: readonly Life[]): { pulls: number; share: number }[] {
	const steps = [...new Set(lives.filter((l) => l.retired).map((l) => l.pulls))].sort((a, b) => a - b);
	let share = 1;
	return steps.map((pulls) => {
		const atRisk = lives.filter((l) => l.pulls >= pulls).length;
		const ended = lives.filter((l) => l.retired && l.pulls === pulls).length;
		share *= 1 - ended / atRisk;
		return { pulls, share };
	});
}
