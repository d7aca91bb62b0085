import type { PourPlan } from '../../plan/pourPlan';
import type { UnitSystem } from '../../units';
import { benchSteps } from '.';
import { pouredByS } from './cups';
import { parseStepId } from './ids';
import { nextCupS } from './layers';
import type { BenchStep } from './step';

/**
 * The plan with its steps, as it is kept when the pour begins. A plan that has them already keeps them.
 * @example
 * withSteps(planOf()).bench?.length; // 13
 */
export function withSteps(plan: PourPlan, units: UnitSystem = 'metric'): PourPlan {
	return plan.bench ? plan : { ...plan, bench: benchSteps(plan, units) };
}

/**
 * The steps of a pour: those that were kept with it, else as they are made today.
 * @example
 * stepsOf(planOf()).length === benchSteps(planOf()).length; // true
 */
export function stepsOf(plan: PourPlan, units: UnitSystem = 'metric'): BenchStep[] {
	return plan.bench ?? benchSteps(plan, units);
}

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
