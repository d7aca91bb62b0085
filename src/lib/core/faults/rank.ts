import { CAUSES, type Clue } from './causes';
import type { Evidence } from './evidence';
import type { CauseId, Fault } from './faults';

export interface RankedCause {
	id: CauseId;
	/** Of the causes here, 0…1. */
	likelihood: number;
	/** Strongest first; what was recorded only. */
	clues: Clue[];
	/** Where nothing was recorded that speaks for or against it. */
	unknown: boolean;
	confirmed: number;
	remedy: string;
}

/** What one confirmed cause weighs against the usual weights (a default of ours). */
const CONFIRMED_WEIGHT = 1.5;
/** No single clue is believed beyond this: the log itself may be wrong. */
const MOST = 15;

/**
 * Causes of a fault, the likeliest first: how usual each is, moved by what was confirmed at this bench, times the
 * likelihood ratio of every clue in this pull's own log (Bayes, clues taken as independent).
 * @param confirmed how often each cause was confirmed for this fault so far
 * @example
 * rankCauses('foam', evidenceOf(planOf({ relativeHumidity: 70 }), reducePour([], [])))[0]?.id; // 'damp-air'
 */
export function rankCauses(
	fault: Fault,
	evidence: Evidence,
	confirmed: Readonly<Partial<Record<CauseId, number>>> = {}
): RankedCause[] {
	const found = CAUSES.flatMap((cause) => {
		const usual = cause.makes[fault];
		if (usual === undefined) return [];
		const clues = cause.clues(evidence);
		const times = confirmed[cause.id] ?? 0;
		const weight = clues.reduce(
			(product, c) => product * Math.min(MOST, Math.max(1 / MOST, c.ratio)),
			usual + CONFIRMED_WEIGHT * times
		);
		return [
			{
				id: cause.id,
				likelihood: weight,
				clues: [...clues].sort((a, b) => Math.abs(Math.log(b.ratio)) - Math.abs(Math.log(a.ratio))),
				unknown: clues.length === 0,
				confirmed: times,
				remedy: cause.remedy
			}
		];
	});
	const sum = found.reduce((s, c) => s + c.likelihood, 0);
	return found
		.map((c) => ({ ...c, likelihood: sum > 0 ? c.likelihood / sum : 0 }))
		.sort((a, b) => b.likelihood - a.likelihood);
}
