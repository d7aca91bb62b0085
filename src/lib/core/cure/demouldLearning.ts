import { GLASS_DEFAULTS } from './record';

/** How a cast came out, or was when it was tried: one press each. */
export const DEMOULD_SIGNS = ['soft', 'right', 'locked'] as const;
export type DemouldSign = (typeof DEMOULD_SIGNS)[number];

/** One press at demould against what the model said of that pull without anything learnt; s after its pour. */
export interface DemouldSeen {
	what: DemouldSign;
	atS: number;
	/** When the slowest place had gelled, by the readings of that pull. */
	gelS: number;
	/** When it was to be ready. */
	modelS: number;
}

/** What presses at demould taught of a resin. */
export interface TaughtDemould {
	/** The count after gel against the sheet's, and one standard deviation of its logarithm. */
	maturityFactor: number;
	maturitySd: number;
	/** From which share of the count it may be bent out. */
	flexibleShare: number;
	/** Presses that it rests on. */
	presses: number;
	/** The maker's own repeated demould in this very mould, s; from three pulls that came out right. */
	own?: { lowS: number; highS: number; pulls: number };
}

/** What a sheet means by demould, in its strength, section and mould: one deviation of ln(count) (a default of ours). */
const PRIOR_SD = 0.45;
/** A flexible share before anything was pressed: one deviation of ln(share) (a default of ours). */
const SHARE_SD = 0.4;
/** How loosely a press tells: in this very mould, and in another (defaults of ours). */
const LOOSE = { same: 0.12, other: 0.3 };
/** Own times stand first from so many pulls on; the newest so many are looked at. */
const OWN_FROM = 3;
const OWN_OF = 8;
const STEP = 0.02;

/** Chance that a standard normal is under x, by a logistic curve (within 0.01). */
const under = (x: number) => 1 / (1 + Math.exp(-1.702 * x));

/** Mean and deviation over an even grid round a normal prior; nothing when they lie at its end. */
function posterior(
	centre: number,
	sd: number,
	likelihood: (x: number) => number
): { mean: number; sd: number } | undefined {
	const reach = 4 * sd;
	let [sum, first, second] = [0, 0, 0];
	for (let x = centre - reach; x <= centre + reach; x += STEP) {
		const p = Math.exp(-(((x - centre) / sd) ** 2) / 2) * likelihood(x);
		sum += p;
		first += p * x;
		second += p * x * x;
	}
	const mean = first / sum;
	// said to be off by more than a sheet ever is: a slip, or another resin in the tin
	if (!Number.isFinite(mean) || Math.abs(mean - centre) > 0.85 * reach) return undefined;
	return { mean, sd: Math.sqrt(Math.max(STEP ** 2, second / sum - mean ** 2)) };
}

/**
 * What presses at demould say of the count after gel that a resin wants, and of the share of it from which it may be
 * bent out: each press is a censored reading (*soft*: it wants more; *locked*: it wanted less; *right* before the
 * model's time: it could be bent by then), on a grid under a weak prior. Presses in other moulds count, more loosely.
 * @returns nothing without presses, and nothing that lies at the end of the grid
 * @example
 * const locked = { what: 'locked', atS: 500, gelS: 300, modelS: 900, sameMould: true } as const;
 * learnDemould([locked, locked])!.maturityFactor < 0.6; // true
 */
export function learnDemould(
	seen: readonly (DemouldSeen & { sameMould: boolean })[]
): TaughtDemould | undefined {
	const told = seen
		.filter((s) => s.modelS > s.gelS)
		.map((s) => ({
			...s,
			lnCount: s.atS > s.gelS ? Math.log((s.atS - s.gelS) / (s.modelS - s.gelS)) : -Infinity,
			loose: s.sameMould ? LOOSE.same : LOOSE.other
		}));
	if (told.length === 0) return undefined;
	const counted = told.filter((s) => Number.isFinite(s.lnCount));
	const count = posterior(0, PRIOR_SD, (x) =>
		counted.reduce((p, { what, lnCount, loose }) => {
			const more = (x - lnCount) / loose;
			return what === 'soft' ? p * under(more) : what === 'locked' ? p * under(-more) : p;
		}, 1)
	);
	const ln = count?.mean ?? 0;
	const share = posterior(Math.log(GLASS_DEFAULTS.flexibleShare), SHARE_SD, (x) =>
		counted.reduce((p, { what, lnCount, loose }) => {
			const early = lnCount < ln;
			const later = (x - (lnCount - ln)) / loose;
			return !early || what === 'locked' ? p : p * under(what === 'soft' ? later : -later);
		}, 1)
	);
	const own = told
		.filter((s) => s.what === 'right' && s.sameMould)
		.slice(-OWN_OF)
		.map((s) => s.atS);
	return {
		maturityFactor: Math.exp(ln),
		maturitySd: count?.sd ?? PRIOR_SD,
		flexibleShare: Math.min(1, Math.exp(share?.mean ?? Math.log(GLASS_DEFAULTS.flexibleShare))),
		presses: told.length,
		...(own.length >= OWN_FROM
			? { own: { lowS: Math.min(...own), highS: Math.max(...own), pulls: own.length } }
			: {})
	};
}
