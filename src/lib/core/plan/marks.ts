import { B_IN_S, cupEveryS } from '../shot/colourSchools';
import { markInCup } from '../shelf/cupMarks';
import { cupMarkHeightMm, squareCupDiameterMm } from '../mix/cupLoss';
import type { PourPlan } from './pourPlan';

/**
 * Marks for a school that measures by them, mm: in the maker's own cup where it was chosen and holds the part; else in
 * straight cups, colours each in one that suits them, since a small share in the cup of the whole would stand a few
 * millimetres high.
 * @example
 * marksOf(planOf(), planOf()); // { wideMm: 41, aMm: 41.659, bMm: 41.659 }
 */
export function marksOf(
	plan: Pick<PourPlan, 'cups' | 'cupDiameterMm' | 'markCup'>,
	cup: { a: { volumeMl: number }; b: { volumeMl: number } }
): { wideMm: number; aMm: number; bMm: number; own?: NonNullable<PourPlan['markCup']> } {
	const own = plan.markCup;
	const [aOwn, bOwn] = own ? [markInCup(own, cup.a.volumeMl), markInCup(own, cup.b.volumeMl)] : [];
	if (own && aOwn !== undefined && bOwn !== undefined)
		return { wideMm: own.rimMm, aMm: aOwn, bMm: bOwn, own };
	const wideMm = plan.cups
		? squareCupDiameterMm(Math.max(cup.a.volumeMl, cup.b.volumeMl))
		: plan.cupDiameterMm;
	return {
		wideMm,
		aMm: cupMarkHeightMm(cup.a.volumeMl, wideMm),
		bMm: cupMarkHeightMm(cup.b.volumeMl, wideMm)
	};
}

/** Under this share of its target a hold loses what it is for (a default of ours). */
const HOLD_FLOOR = 0.95;

/**
 * The least gauge pressure of a hold, kPa: under it the pressure is topped up, within the rating.
 * @example
 * holdFloorKpa(275); // 261.25
 */
export const holdFloorKpa = (targetGaugeKpa: number) => targetGaugeKpa * HOLD_FLOOR;

/**
 * Planned mixing of one cup, s: colours poured together share the mixing step, one cup after another.
 * @example
 * mixOneCupS(planOf()); // 40
 */
export function mixOneCupS(plan: Pick<PourPlan, 'steps' | 'cups' | 'colourSchool'>): number | undefined {
	const all = plan.steps.find((s) => s.role === 'mix')?.durationS;
	if (all === undefined) return undefined;
	return all / Math.max(1, plan.cups?.length ?? 1) - (plan.colourSchool === 'all-at-once' ? B_IN_S : 0);
}

/**
 * From one cup of colours' combining to that of the next, s.
 * @example
 * betweenCupsS(planOf()); // 40
 */
export const betweenCupsS = (plan: Pick<PourPlan, 'steps' | 'cups' | 'colourSchool'>): number =>
	cupEveryS(plan.colourSchool, mixOneCupS(plan) ?? 45);
