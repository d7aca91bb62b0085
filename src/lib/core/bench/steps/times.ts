import { betweenCupsS, mixOneCupS } from '../../plan/marks';
import type { PourPlan } from '../../plan/pourPlan';
import { parseStepId } from './ids';
import type { BenchStep } from './step';

type Layer = NonNullable<PourPlan['layers']>[number];

/**
 * What readings make of a step's times: its words, its amounts and its place stay.
 * @example
 * retimed(benchSteps(planOf()), planOf({ demouldS: 1200 })).find((s) => s.id === 'demould')?.id; // 'demould'
 */
export function retimed(steps: readonly BenchStep[], plan: PourPlan): BenchStep[] {
	return steps.map((step) => ({ ...step, ...timesOf(step, plan) }));
}

function timesOf(step: BenchStep, plan: PourPlan): Pick<BenchStep, 'waitS' | 'deadlineS'> {
	const ref = parseStepId(step.id);
	// one that is filled out of its mould was waited for in it
	if (ref?.name === 'fill') return plan.fill?.outside ? {} : { waitS: plan.demouldS };
	if (ref?.name === 'support') return plan.out ? { waitS: plan.out.stiffS } : {};
	if (ref?.name === 'pour-together') return { deadlineS: pouredByS(plan) };
	const layer = ref && 'cup' in ref ? plan.layers?.[ref.cup] : undefined;
	if (!layer) return {};
	if (ref?.name === 'roll') return { waitS: layer.lockS };
	if (ref?.name === 'brush') return layer.layS === undefined ? {} : { waitS: layer.layS };
	if (ref?.name === 'gelled' && 'cup' in ref) return { waitS: nextCupS(plan, ref.cup) };
	return ref?.name === 'cooled' ? { waitS: layer.recoatFromS } : {};
}

/** Later than so many times its gel, a flat layer was planned to cool before the next. */
const COOLS_AFTER = 2;

/** Planned to wait until the heat of the layer below has gone, not only until it gels. */
export const isLeftToCool = (layer: Layer): boolean =>
	layer.way === 'flat' && layer.recoatFromS > COOLS_AFTER * layer.gelS;

/**
 * From the pour of a layer until the cup of the next is combined, s: so long before it gels that it is mixed by then.
 * Plans of earlier versions combined only once it had gelled.
 */
export function nextCupS(plan: PourPlan, index: number): number {
	const below = plan.layers![index]!;
	if (isLeftToCool(below)) return below.gelS;
	if (plan.layers![index + 1]?.combinedS === undefined) return below.recoatFromS;
	return Math.max(0, below.recoatFromS - (mixOneCupS(plan) ?? 45));
}

/** By when all is poured, s after the first was combined: stirred and poured, or as warm as wanted. */
export function pouredByS(plan: PourPlan): number {
	const count = plan.cups?.length ?? 1;
	const stirredS =
		(mixOneCupS(plan) ?? 45) * count + (plan.colourSchool === 'all-at-once' ? betweenCupsS(plan) * count : 0);
	const pourS = plan.steps.find((s) => s.role === 'pour')?.durationS ?? 20;
	return Math.max(stirredS + pourS, pourAtS(plan) ?? 0);
}

/** When the slowest cup is warm, s after the first was combined; nothing when one never is in time. */
function pourAtS(plan: PourPlan): number | undefined {
	const pourS = plan.steps.find((s) => s.role === 'pour')?.durationS ?? 20;
	const warm = plan.cups!.map((c, i) => (c.warmS === undefined ? NaN : betweenCupsS(plan) * i + c.warmS));
	const at = Math.max(...warm) + pourS;
	return Number.isFinite(at) && at < plan.usableS ? at : undefined;
}
