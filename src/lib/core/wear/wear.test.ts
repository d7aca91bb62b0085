import fc from 'fast-check';
import jStat from 'jstat';
import { describe, expect, it } from 'vitest';
import {
	fitWeibull,
	heatWeight,
	LIMIT,
	mouldInspection,
	priorPulls,
	productLimit,
	scoreForecasts,
	SIGN_NAMES,
	SIGNS,
	signsFor,
	successorBy,
	wearAdvice,
	wearForecast,
	weibullLogLikelihood,
	weibullSurvival,
	wilson,
	worstSign,
	type Life,
	type WearInput
} from '.';
import { PRIOR_SHAPE, SHAPE } from './forecast';
import { betaI, lnGamma } from './specialFunctions';

/** Small, repeatable chance (mulberry32). */
function chance(seed: number) {
	let a = seed >>> 0;
	return () => {
		a = (a + 0x6d2b79f5) >>> 0;
		let t = Math.imul(a ^ (a >>> 15), 1 | a);
		t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
		return ((t ^ (t >>> 14)) >>> 0) / 2 ** 32;
	};
}
/** A gamma variate by Marsaglia & Tsang, ACM Trans. Math. Softw. 26 (2000) 363. */
function gammaVariate(shape: number, random: () => number): number {
	if (shape < 1) return gammaVariate(shape + 1, random) * random() ** (1 / shape);
	const d = shape - 1 / 3;
	const c = 1 / Math.sqrt(9 * d);
	for (;;) {
		const n = Math.sqrt(-2 * Math.log(random() || 1e-12)) * Math.cos(2 * Math.PI * random());
		const v = (1 + c * n) ** 3;
		if (v > 0 && Math.log(random() || 1e-12) < 0.5 * n * n + d - d * v + d * Math.log(v)) return d * v;
	}
}

describe('special functions against an independent library (jstat) and closed forms', () => {
	it('ln Γ: (n − 1)! and Γ(½) = √π', () => {
		expect(Math.exp(lnGamma(6))).toBeCloseTo(120, 8);
		expect(lnGamma(0.5)).toBeCloseTo(Math.log(Math.sqrt(Math.PI)), 12);
		for (const x of [0.01, 0.7, 3.3, 40, 300]) expect(lnGamma(x)).toBeCloseTo(jStat.gammaln(x), 8);
		expect(() => lnGamma(0)).toThrow(/lnGamma/);
	});
	it('I_x(a, b): jstat’s, I_x(1, b) = 1 − (1 − x)ᵇ, and its mirror', () => {
		fc.assert(
			fc.property(
				fc.double({ min: 0.001, max: 0.999, noNaN: true }),
				fc.double({ min: 0.1, max: 80, noNaN: true }),
				fc.double({ min: 0.1, max: 80, noNaN: true }),
				(x, a, b) => {
					expect(betaI(x, a, b)).toBeCloseTo(jStat.ibeta(x, a, b), 6);
					expect(betaI(x, 1, b)).toBeCloseTo(1 - (1 - x) ** b, 9);
					expect(betaI(x, a, b)).toBeCloseTo(1 - betaI(1 - x, b, a), 9);
				}
			)
		);
		expect(() => betaI(1.2, 1, 1)).toThrow(/betaI/);
	});
});

const prior = { family: 'platinum' as const };
const pulls = (n: number, inspections: Record<number, number> = {}): WearInput['pulls'] =>
	Array.from({ length: n }, (_, i) =>
		inspections[i + 1] === undefined ? {} : { scores: { detail: inspections[i + 1]! } }
	);

describe('the forecast', () => {
	it('before any pull the median is the family’s, and the band holds it', () => {
		const f = wearForecast({ prior, pulls: [] });
		expect(Math.abs(f.pullsLeftMedian - priorPulls(prior))).toBeLessThanOrEqual(1);
		expect(f.pullsLeftLow).toBeLessThan(f.pullsLeftMedian);
		expect(f.pullsLeftHigh).toBeGreaterThan(f.pullsLeftMedian);
		expect(f.thin).toBe(true);
		expect(f.warnings.map((w) => w.code)).toContain('thin-data');
	});
	it('the first passage against a simulated process, at several looks', () => {
		const random = chance(11);
		for (const [n, seen] of [
			[20, 1],
			[30, 3],
			[12, 4]
		] as const) {
			const f = wearForecast({ prior, pulls: pulls(n, { [n]: seen }) });
			// the posterior, drawn: rate | look, then pulls until the limit
			const line = f.working.at(-1)!.sum;
			const [rate, shape] = [/\+ ([\d.]+)\)/.exec(line)![1], /·k, ([\d.]+)\)/.exec(line)![1]].map(Number);
			const lives: number[] = [];
			for (let i = 0; i < 4000; i++) {
				const b = gammaVariate(shape!, random) / rate!;
				let [w, k] = [seen as number, 0];
				while (w < LIMIT && k < 3000) {
					w += gammaVariate(SHAPE, random) / b;
					k++;
				}
				lives.push(k - 1);
			}
			lives.sort((a, b) => a - b);
			expect(Math.abs(lives[2000]! - f.pullsLeftMedian)).toBeLessThanOrEqual(0.06 * f.pullsLeftMedian + 1.5);
			expect(Math.abs(lives[400]! - f.pullsLeftLow)).toBeLessThanOrEqual(0.12 * f.pullsLeftLow + 1.5);
		}
	});
	it('without a look the posterior is the prior: conjugate update by hand', () => {
		// Gamma(α₀, β₀) and an increment w over n pulls of shape a give Gamma(α₀ + a·n, β₀ + w)
		const f = wearForecast({ prior, pulls: pulls(24, { 24: 2 }) });
		expect(f.working.at(-1)!.sum).toContain(`·k, ${(PRIOR_SHAPE + SHAPE * 24).toFixed(1)}`);
	});
	it('a mould that shows nothing lasts longer than one that shows much', () => {
		const at = (seen: number) => wearForecast({ prior, pulls: pulls(25, { 25: seen }) }).pullsLeftMedian;
		expect(at(0)).toBeGreaterThan(at(2));
		expect(at(2)).toBeGreaterThan(at(4));
		expect(at(5)).toBe(0);
	});
	it('never promises more for more pulls since the last look, nor a chance that rises', () => {
		fc.assert(
			fc.property(fc.integer({ min: 1, max: 60 }), fc.integer({ min: 0, max: 4 }), (n, seen) => {
				const f = wearForecast({ prior, pulls: pulls(n, { [n]: seen }), copiesWanted: 10 });
				const later = wearForecast({ prior, pulls: pulls(n + 8, { [n]: seen }), copiesWanted: 10 });
				expect(later.pullsLeftMedian).toBeLessThanOrEqual(f.pullsLeftMedian);
				for (let i = 1; i < f.survival.length; i++)
					expect(f.survival[i]!.chance).toBeLessThanOrEqual(f.survival[i - 1]!.chance + 1e-9);
				expect(f.chanceToFinish).toBeGreaterThanOrEqual(0);
				expect(f.chanceToFinish).toBeLessThanOrEqual(1);
			}),
			{ numRuns: 30 }
		);
	});
	it('hot pulls count for more', () => {
		expect(heatWeight(undefined)).toBe(1);
		expect(heatWeight(80)).toBeCloseTo(2, 9);
		const hot = pulls(10, { 10: 1 }).map((p) => ({ ...p, peakFaceC: 80 }));
		const cool = pulls(10, { 10: 1 }).map((p) => ({ ...p, peakFaceC: 45 }));
		expect(wearForecast({ prior, pulls: hot }).pullsLeftMedian).toBeLessThan(
			wearForecast({ prior, pulls: cool }).pullsLeftMedian
		);
	});
	it('calibration by simulation: bands of 80 % hold about 80 %', () => {
		const random = chance(5);
		const beta0 = Number(/\+ ([\d.]+)\)/.exec(wearForecast({ prior, pulls: [] }).working.at(-1)!.sum)![1]);
		let [inside, of] = [0, 0];
		for (let i = 0; i < 700; i++) {
			const b = gammaVariate(PRIOR_SHAPE, random) / beta0;
			const path: number[] = [];
			for (let w = 0; w < LIMIT && path.length < 2000;) path.push((w += gammaVariate(SHAPE, random) / b));
			const life = path.length - 1;
			const n = 18;
			if (life <= n) continue;
			const looked = pulls(n).map((p, k) => (k === 8 || k === n - 1 ? { scores: { detail: path[k]! } } : p));
			const f = wearForecast({ prior, pulls: looked });
			of++;
			if (life - n >= f.pullsLeftLow && life - n <= f.pullsLeftHigh) inside++;
		}
		expect(of).toBeGreaterThan(400);
		expect(inside / of).toBeGreaterThan(0.75);
		expect(inside / of).toBeLessThan(0.86);
	});
	it('the successor’s day: 20 pulls at two a day are ten days, less two of making (by hand)', () => {
		const DAY = 86_400_000;
		expect(successorBy({ pullsLeftLow: 20 }, 2, 2 * 86_400, 0)).toBe(8 * DAY);
		expect(successorBy({ pullsLeftLow: 20 }, 0, 0, 0)).toBeUndefined();
	});
});

describe('lives of a family', () => {
	// Lieblein & Zelen, J. Res. Natl. Bur. Stand. 57 (1956) 273: 23 ball bearings, millions of revolutions
	const BEARINGS = [
		17.88, 28.92, 33.0, 41.52, 42.12, 45.6, 48.4, 51.84, 51.96, 54.12, 55.56, 67.8, 68.64, 68.64, 68.88,
		84.12, 93.12, 98.64, 105.12, 105.84, 127.92, 128.04, 173.4
	];
	const over = (list: readonly number[]): Life[] => list.map((p) => ({ pulls: p, retired: true }));
	it('ball bearings: shape 2.10, scale 81.9', () => {
		const fit = fitWeibull(over(BEARINGS))!;
		expect(fit.converged).toBe(true);
		expect(fit.shape).toBeCloseTo(2.1, 2);
		expect(fit.scale).toBeCloseTo(81.9, 1);
	});
	it('the likelihood is jstat’s, and no neighbour’s is larger', () => {
		const fit = fitWeibull(over(BEARINGS))!;
		const theirs = (shape: number, scale: number) =>
			BEARINGS.reduce((sum, t) => sum + Math.log(jStat.weibull.pdf(t, scale, shape)), 0);
		expect(fit.logLikelihood).toBeCloseTo(theirs(fit.shape, fit.scale), 6);
		for (const [s, l] of [
			[1.02, 1],
			[0.98, 1],
			[1, 1.02],
			[1, 0.98]
		] as const)
			expect(theirs(fit.shape * s, fit.scale * l)).toBeLessThan(fit.logLikelihood);
		expect(weibullSurvival(fit, fit.medianPulls)).toBeCloseTo(0.5, 9);
		expect(weibullSurvival(fit, 60)).toBeCloseTo(1 - jStat.weibull.cdf(60, fit.scale, fit.shape), 9);
	});
	it('with moulds still in use: a maximum all the same, and longer lives than without them', () => {
		const lives = [...over([22, 31, 35, 44, 52]), ...[60, 61, 70].map((p) => ({ pulls: p, retired: false }))];
		const fit = fitWeibull(lives)!;
		for (const [s, l] of [
			[1.03, 1],
			[0.97, 1],
			[1, 1.03],
			[1, 0.97]
		] as const)
			expect(weibullLogLikelihood(lives, fit.shape * s, fit.scale * l)).toBeLessThan(fit.logLikelihood);
		expect(fit.medianPulls).toBeGreaterThan(fitWeibull(over([22, 31, 35, 44, 52]))!.medianPulls);
		expect(fit).toMatchObject({ retired: 5, alive: 3 });
	});
	it('finds what it was drawn from', () => {
		const random = chance(3);
		const lives = Array.from({ length: 2000 }, () => {
			const pulls = 50 * (-Math.log(random())) ** (1 / 3);
			const seen = 20 + 60 * random();
			return { pulls: Math.min(pulls, seen), retired: pulls <= seen };
		});
		const fit = fitWeibull(lives)!;
		expect(fit.shape).toBeCloseTo(3, 0);
		expect(fit.scale / 50).toBeCloseTo(1, 1);
	});
	it('too few, or all alike, give no curve', () => {
		expect(fitWeibull(over([30, 40]))).toBeUndefined();
		expect(fitWeibull(over([30, 30, 30]))).toBeUndefined();
	});
	it('product-limit steps by hand: 1 of 4, then 1 of 2 with one left out between', () => {
		const steps = productLimit([
			{ pulls: 10, retired: true },
			{ pulls: 15, retired: false },
			{ pulls: 20, retired: true },
			{ pulls: 30, retired: false }
		]);
		expect(steps).toEqual([
			{ pulls: 10, share: 0.75 },
			{ pulls: 20, share: 0.375 }
		]);
	});
});

describe('our own forecasts', () => {
	const kept = (low: number, high: number, gave: number, retired = true) => ({
		pulls: 10,
		low,
		median: (low + high) / 2,
		high,
		gaveSoFar: 10 + gave,
		retired
	});
	it('count inside, shorter and longer; a mould in use only when it has outlived its band', () => {
		const s = scoreForecasts([
			kept(5, 20, 12),
			kept(5, 20, 3),
			kept(5, 20, 30, false),
			kept(5, 20, 8, false)
		]);
		expect(s).toMatchObject({ known: 3, inside: 1, shorter: 1, longer: 1 });
	});
	it('Wilson’s interval: 8 of 10 at 95 % is 0.490–0.943 (from memory, re-derived as the roots of its equation)', () => {
		const { low, high } = wilson(8, 10, 1.96);
		for (const p of [low, high])
			expect(Math.abs(0.8 - p) - 1.96 * Math.sqrt((p * (1 - p)) / 10)).toBeCloseTo(0, 9);
		expect(low).toBeCloseTo(0.49, 2);
		expect(high).toBeCloseTo(0.943, 2);
	});

	it('the share itself is never outside its own band', () => {
		for (let of = 1; of <= 120; of++)
			for (let hits = 0; hits <= of; hits++) {
				const { low, high } = wilson(hits, of);
				expect(low).toBeLessThanOrEqual(hits / of);
				expect(high).toBeGreaterThanOrEqual(hits / of);
				expect(low >= 0 && high <= 1).toBe(true);
			}
	});
});

describe('signs', () => {
	it('each has six anchored words, and a kind of mould that it belongs to', () => {
		for (const s of SIGN_NAMES) {
			expect(SIGNS[s].at).toHaveLength(LIMIT + 1);
			expect(SIGNS[s].soft || SIGNS[s].rigid).toBe(true);
		}
		expect(signsFor(true)).toContain('warp');
		expect(signsFor(false)).not.toContain('warp');
	});
	it('a look scores at least one sign, from 0 to 5', () => {
		expect(mouldInspection.safeParse({ scores: {} }).success).toBe(false);
		expect(mouldInspection.safeParse({ scores: { tear: 6 } }).success).toBe(false);
		expect(worstSign({ detail: 1, tear: 3, stain: 2 })).toEqual({ sign: 'tear', score: 3 });
	});
	it('advice follows what was seen', () => {
		const codes = (scores: object, about: object = {}) =>
			wearAdvice(scores, { pullsLeftMedian: 20 }, { release: 'none', ...about }).map((a) => a.code);
		expect(codes({ tear: 5 })).toContain('retire');
		expect(codes({ stick: 3 })).toContain('release');
		expect(codes({ stick: 3 }, { release: 'spray' })).not.toContain('release');
		expect(codes({ stain: 3 })).toEqual(expect.arrayContaining(['rest', 'barrier']));
		expect(codes({}, { peakFaceC: 90 })).toContain('cooler');
		expect(codes({}, { wanted: 30 })).toContain('successor');
		expect(codes({ detail: 1 })).toEqual([]);
	});
});
