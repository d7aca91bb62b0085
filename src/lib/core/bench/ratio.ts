import { correctPour } from '../mix/correctPour';
import { RATIO_TOLERANCE_PERCENT } from '../mix/weighingError';
import { digits } from '../units';
import type { PourPlan } from '../plan/pourPlan';
import type { PourState } from './reduce';
import { cupStep, type BenchStep } from './steps';

type Amount = PourPlan['a'];

/** The two parts of the cup that a step belongs to, as they were planned. */
function plannedParts(plan: PourPlan, step: BenchStep): { a: Amount; b: Amount; index: number } {
	const of = (i: number | undefined, list: readonly { a: Amount; b: Amount }[] | undefined) =>
		i === undefined ? undefined : list?.[i] && { ...list[i], index: i };
	return of(step.layer, plan.layers) ?? of(step.cup, plan.cups) ?? { a: plan.a, b: plan.b, index: 0 };
}

/**
 * What should stand in the cup at a measuring step. What was weighed before moves it: with B over, its fillers
 * and A follow at once, so that the ratio holds and only the total grows.
 * @example
 * const plan = planOf();
 * targetOf(
 *   plan,
 *   benchSteps(plan).find((s) => s.id === 'measure-a')!,
 *   { weighedG: { 'measure-b': 59.4 } }
 * )?.massG; // 66
 */
export function targetOf(
	plan: PourPlan,
	step: BenchStep,
	state: Pick<PourState, 'weighedG'>
): (Amount & { factor: number; markMm?: number }) | undefined {
	if (step.kind !== 'measure' || !step.amount) return undefined;
	const { a, b, index } = plannedParts(plan, step);
	const first =
		b.massG > 0
			? { id: cupStep('measure-b', index), planned: b }
			: { id: cupStep('measure-a', index), planned: a };
	const weighed = step.id === first.id ? undefined : state.weighedG[first.id];
	const factor = weighed === undefined || !(first.planned.massG > 0) ? 1 : weighed / first.planned.massG;
	return {
		massG: step.amount.massG * factor,
		volumeMl: step.amount.volumeMl * factor,
		factor,
		...(step.markMm === undefined ? {} : { markMm: step.markMm * factor })
	};
}

/** The ratio as it stands in the cups, and what would mend it. */
export interface RatioNow {
	/** A to B against the sheet, percent; more than nothing is too much A. */
	errorPercent: number;
	tolerancePercent: number;
	within: boolean;
	addAG: number;
	addBG: number;
	totalG: number;
	/** Which side is short, and the step in which it is weighed. */
	mend?: { part: 'A' | 'B'; addG: number; stepId: string; newG: number };
	/** What is wrong and what to do, in a sentence; nothing within tolerance. */
	words: string;
}

/**
 * Ratio of what was weighed for the cup of a step; nothing until both sides are known.
 * @example
 * const plan = planOf();
 * ratioNow(
 *   plan,
 *   benchSteps(plan).find((s) => s.kind === 'combine')!,
 *   { weighedG: { 'measure-a': 60, 'measure-b': 54 } }
 * )?.errorPercent; // 0
 */
export function ratioNow(
	plan: PourPlan,
	step: BenchStep,
	state: Pick<PourState, 'weighedG'>
): RatioNow | undefined {
	const { a, b, index } = plannedParts(plan, step);
	if (!(a.massG > 0 && b.massG > 0)) return undefined;
	const ids = { A: cupStep('measure-a', index), B: cupStep('measure-b', index) };
	const pouredAG = state.weighedG[ids.A];
	const pouredBG = state.weighedG[ids.B];
	if (pouredAG === undefined || pouredBG === undefined || !(pouredAG + pouredBG > 0)) return undefined;
	const { addA, addB, total } = correctPour({
		ratio: { by: 'weight', a: a.massG, b: b.massG },
		pouredAG,
		pouredBG
	});
	const tolerancePercent = plan.tolerancePercent ?? RATIO_TOLERANCE_PERCENT;
	const errorPercent = pouredBG > 0 ? 100 * (pouredAG / pouredBG / (a.massG / b.massG) - 1) : Infinity;
	const within = Math.abs(errorPercent) <= tolerancePercent;
	const part = addA > addB ? ('A' as const) : ('B' as const);
	const addG = Math.max(addA, addB);
	return {
		errorPercent,
		tolerancePercent,
		within,
		addAG: addA,
		addBG: addB,
		totalG: total,
		...(within
			? {}
			: {
					mend: {
						part,
						addG,
						stepId: ids[part],
						newG: (part === 'A' ? pouredAG : pouredBG) + addG
					}
				}),
		words: within
			? ''
			: `There is ${Number.isFinite(errorPercent) ? `${digits(Math.abs(errorPercent), 1)} %` : 'far'} too much ${part === 'A' ? 'B' : 'A'} for the ratio; ${digits(tolerancePercent, 1)} % is allowed. ${part === 'B' ? 'Too little B stays soft or brittle.' : 'Too much B leaves a face that takes no paint.'}`
	};
}

/**
 * Whether a step may be ended with the ratio as it stands: combining, or with both parts in one cup the
 * weighing of A. The reason when it may not.
 * @example
 * const plan = planOf();
 * offRatio(
 *   plan,
 *   benchSteps(plan).find((s) => s.kind === 'combine')!,
 *   { weighedG: { 'measure-a': 66, 'measure-b': 54 } }
 * )?.errorPercent; // 10
 */
export function offRatio(
	plan: PourPlan,
	step: BenchStep,
	state: Pick<PourState, 'weighedG'>
): RatioNow | undefined {
	const last = plan.measuring === 'one-cup' && !plan.cups && step.kind === 'measure' && step.part === 'A';
	const combines = step.kind === 'combine' && !(plan.measuring === 'one-cup' && !plan.cups);
	if (!last && !combines) return undefined;
	const now = ratioNow(plan, step, state);
	return now && !now.within ? now : undefined;
}
