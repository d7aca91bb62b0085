import { z } from 'zod';
import { digits } from '../units';
import type { WorkingLine, Warning } from '../working';
import { heatWeight, priorPulls, wearPrior } from './prior';
import { LIMIT, SIGN_NAMES } from './signs';
import { betaI } from './specialFunctions';

/**
 * Wear of the worst sign is a gamma process in pulls: what a pull adds is Gamma(SHAPE, rate), the rate itself
 * unknown, Gamma(PRIOR_SHAPE, β₀) before anything was seen. Both are defaults of ours: a pull's wear scatters widely, and
 * two moulds alike last in a ratio of about two.
 */
export const SHAPE = 0.5;
export const PRIOR_SHAPE = 6;
/** A look that sees nothing has seen less than half a score. */
const UNSEEN = 0.25;
const MOST_PULLS = 2000;

const score = z.number().min(0, 'A score is 0 to 5.').max(LIMIT, 'A score is 0 to 5.');

export const wearInput = z.strictObject({
	prior: wearPrior,
	/** In the order in which they were pulled; scores where the mould was looked at after it. */
	pulls: z
		.array(
			z.strictObject({
				at: z.union([z.string().max(40), z.number()]).optional(),
				/** Peak at the mould's face, °C. */
				peakFaceC: z.number().min(-20).max(300).optional(),
				scores: z.partialRecord(z.enum(SIGN_NAMES), score).optional()
			})
		)
		.max(5000, 'At most 5000 pulls of one mould.'),
	/** Pulls still wanted of it. */
	copiesWanted: z.number().int('Copies are whole.').min(0).max(100_000).optional()
});
export type WearInput = z.input<typeof wearInput>;

export interface WearForecast {
	pullsLeftMedian: number;
	/** Four times in five it lasts between these two. */
	pullsLeftLow: number;
	pullsLeftHigh: number;
	/** Of so many pulls more, 0…1; only when they were asked for. */
	chanceToFinish?: number;
	/** Chance to give so many pulls more, for the band. */
	survival: { pulls: number; chance: number }[];
	/** The worst score that was seen, and how many looks there were. */
	wear: number;
	inspections: number;
	/** So few looks that the family speaks more than the mould. */
	thin: boolean;
	working: WorkingLine[];
	warnings: Warning[];
}

/** β₀ so that half of the moulds reach the limit after `median` pulls. */
function priorRate(median: number): number {
	let [low, high] = [1e-6, 1e6];
	for (let i = 0; i < 200; i++) {
		const mid = Math.sqrt(low * high);
		if (mid <= low || mid >= high) break;
		// a larger β₀ means quicker wear: fewer are below the limit
		if (betaI(LIMIT / (LIMIT + mid), SHAPE * median, PRIOR_SHAPE) > 0.5) low = mid;
		else high = mid;
	}
	return Math.sqrt(low * high);
}

/** What the mould has shown so far, in closed form: the rate's gamma posterior. */
interface Posterior {
	shape: number;
	rate: number;
	/** Wear at the last look. */
	wear: number;
	/** Weighted pulls since it. */
	since: number;
	inspections: number;
	/** Mean weight of a pull to come. */
	weight: number;
}

function posterior(input: z.output<typeof wearInput>, beta0: number): Posterior {
	let [pulls, sinceInspection, wear, inspections] = [0, 0, 0, 0];
	let seenPulls = 0;
	let weights = 0;
	for (const p of input.pulls) {
		const w = heatWeight(p.peakFaceC ?? input.prior.peakFaceC);
		weights += w;
		pulls += w;
		sinceInspection += w;
		const worst = Math.max(-1, ...Object.values(p.scores ?? {}).map((s) => s ?? -1));
		if (worst < 0) continue;
		inspections++;
		seenPulls = pulls;
		sinceInspection = 0;
		// wear does not go back: a kinder second look leaves what was seen
		wear = Math.max(wear, worst);
	}
	const seen = inspections === 0 ? 0 : Math.max(UNSEEN, wear);
	return {
		shape: PRIOR_SHAPE + SHAPE * seenPulls,
		rate: beta0 + seen,
		wear: seen,
		since: sinceInspection,
		inspections,
		weight: input.pulls.length ? weights / input.pulls.length : heatWeight(input.prior.peakFaceC)
	};
}

/**
 * How many pulls a mould has left: P(W(k) < r) = I_{r/(r+β)}(a·k, α), the gamma process mixed over its rate, for
 * r of wear that is left; given that it is still in use after the pulls since its last look.
 * Sources: van Noortwijk, Reliab. Eng. Syst. Saf. 94 (2009) 2, for the process; the mixture by hand.
 * @throws ZodError when the input is outside its schema.
 * @example
 * wearForecast({ prior: { family: 'platinum' }, pulls: [{}, {}, {}] }).pullsLeftMedian; // 67
 */
export function wearForecast(raw: WearInput): WearForecast {
	const input = wearInput.parse(raw);
	const median = priorPulls(input.prior);
	const p = posterior(input, priorRate(median));
	const left = LIMIT - p.wear;
	const below = (weighted: number) =>
		weighted <= 0 ? 1 : left <= 0 ? 0 : betaI(left / (left + p.rate), SHAPE * weighted, p.shape);
	const alive = Math.max(below(p.since), 1e-12);
	const chance = (pulls: number) => Math.min(1, below(p.since + pulls * p.weight) / alive);
	const at = (share: number) => {
		if (left <= 0) return 0;
		let [low, high] = [0, MOST_PULLS];
		if (chance(high) > share) return high;
		for (let i = 0; i < 60; i++) {
			const mid = (low + high) / 2;
			if (chance(mid) > share) low = mid;
			else high = mid;
		}
		return Math.floor(low);
	};
	const [pullsLeftLow, pullsLeftMedian, pullsLeftHigh] = [at(0.9), at(0.5), at(0.1)];
	const most = Math.max(10, Math.ceil(pullsLeftHigh * 1.3));
	const thin = p.inspections < 2;
	return {
		pullsLeftMedian,
		pullsLeftLow,
		pullsLeftHigh,
		...(input.copiesWanted === undefined
			? {}
			: { chanceToFinish: left <= 0 ? 0 : chance(input.copiesWanted) }),
		survival: Array.from({ length: 31 }, (_, i) => {
			const pulls = Math.round((most * i) / 30);
			return { pulls, chance: left <= 0 ? 0 : chance(pulls) };
		}),
		wear: p.inspections === 0 ? 0 : p.wear === UNSEEN ? 0 : p.wear,
		inspections: p.inspections,
		thin,
		working: [
			{
				what: 'Before anything was seen',
				sum: `${input.prior.family}${input.prior.familyMedianPulls === undefined ? '' : ', by its own retired moulds'}`,
				result: `half last ${digits(median, 0)} pulls`,
				source: 'common practice, no source'
			},
			{
				what: 'What was seen',
				sum: `worst sign ${digits(p.wear, 0)} of ${LIMIT}, ${p.inspections} looks, ${digits(p.since, 0)} pulls since, a pull weighs ${digits(p.weight, 2)}`,
				result: `${digits(left, 1)} of wear left`
			},
			{
				what: 'Pulls left',
				sum: `I(${digits(left, 1)} ÷ (${digits(left, 1)} + ${digits(p.rate, 2)}); ${SHAPE}·k, ${digits(p.shape, 1)})`,
				result: `${pullsLeftLow}–${pullsLeftHigh}, half ${pullsLeftMedian}`,
				source: 'gamma process, rate learned'
			}
		],
		warnings: [
			...(thin
				? [
						{
							code: 'thin-data',
							message: `${p.inspections === 0 ? 'No look' : 'Only one look'} so far: this is what moulds of its family do, not yet what this one does.`,
							action: 'Look it over now and then; two looks say more than any table.'
						}
					]
				: []),
			...(left <= 0
				? [
						{
							code: 'out-of-use',
							severity: 'harm' as const,
							message: 'A sign has reached its limit.',
							action: 'Retire it; pour its successor while the master is at hand.'
						}
					]
				: [])
		]
	};
}

/**
 * The day by which its successor should be poured, ms: when the careful figure of pulls is used up at the present
 * pace, less the time that such a mould takes. Nothing without a pace.
 * @example
 * successorBy({ pullsLeftLow: 12 }, 2, 86_400_000 / 1000, 0); // 432000000
 */
export function successorBy(
	forecast: Pick<WearForecast, 'pullsLeftLow'>,
	pullsPerDay: number,
	makingS: number,
	nowMs: number
): number | undefined {
	if (!(pullsPerDay > 0)) return undefined;
	return nowMs + (forecast.pullsLeftLow / pullsPerDay) * 86_400_000 - makingS * 1000;
}
