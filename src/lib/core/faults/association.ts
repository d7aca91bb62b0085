import { wilson } from '../wear/kept';
import { lnGamma } from '../wear/specialFunctions';

/** How often something happened with and without a circumstance. */
export interface Counts {
	withHits: number;
	withAll: number;
	withoutHits: number;
	withoutAll: number;
}

export interface Association extends Counts {
	/** Shares with their 90 % intervals (Wilson). */
	withShare: number;
	withoutShare: number;
	withLow: number;
	withHigh: number;
	withoutLow: number;
	withoutHigh: number;
	/** Chance of a difference as large when there is none (Fisher's exact test, two-sided). */
	p: number;
	sureness: Sureness;
}

/**
 * What is made of it: so few pulls that nothing can be said; nothing to be seen; a hint that chance alone gives now and then
 * among so many comparisons; sure.
 */
export type Sureness = 'few' | 'nothing' | 'hint' | 'sure';

const lnChoose = (n: number, k: number) => lnGamma(n + 1) - lnGamma(k + 1) - lnGamma(n - k + 1);

/** Fewer pulls in a group, or fewer hits in all, and the numbers are said to be small (a default of ours). */
const SMALL_GROUP = 20;
const SMALL_HITS = 5;

/** Chances from which on a difference is a hint, and sure (Fisher, Statistical Methods for Research Workers, 1925, for the first). */
const HINT = 0.05;
const SURE = 0.01;

/**
 * Fisher's exact test, two-sided by summing every table no likelier than this one
 * (Fisher, J. R. Stat. Soc. 85 (1922) 87).
 * @example
 * fisher({ withHits: 3, withAll: 4, withoutHits: 1, withoutAll: 4 }); // 0.48571
 */
export function fisher({ withHits, withAll, withoutHits, withoutAll }: Counts): number {
	const hits = withHits + withoutHits;
	const all = withAll + withoutAll;
	if (withAll === 0 || withoutAll === 0 || hits === 0 || hits === all) return 1;
	const ln = (k: number) => lnChoose(withAll, k) + lnChoose(withoutAll, hits - k) - lnChoose(all, hits);
	const here = ln(withHits);
	let p = 0;
	for (let k = Math.max(0, hits - withoutAll); k <= Math.min(hits, withAll); k++)
		if (ln(k) <= here + 1e-9) p += Math.exp(ln(k));
	return Math.min(1, p);
}

/**
 * What changes with a circumstance, with how sure so few or many pulls can make one.
 * @example
 * associate({ withHits: 8, withAll: 10, withoutHits: 1, withoutAll: 40 }).sureness; // 'few'
 */
export function associate(counts: Counts): Association {
	const a = wilson(counts.withHits, counts.withAll);
	const b = wilson(counts.withoutHits, counts.withoutAll);
	const p = fisher(counts);
	const few =
		Math.min(counts.withAll, counts.withoutAll) < SMALL_GROUP ||
		counts.withHits + counts.withoutHits < SMALL_HITS;
	return {
		...counts,
		withShare: counts.withAll ? counts.withHits / counts.withAll : 0,
		withoutShare: counts.withoutAll ? counts.withoutHits / counts.withoutAll : 0,
		withLow: a.low,
		withHigh: a.high,
		withoutLow: b.low,
		withoutHigh: b.high,
		p,
		sureness: few ? 'few' : p < SURE ? 'sure' : p < HINT ? 'hint' : 'nothing'
	};
}
