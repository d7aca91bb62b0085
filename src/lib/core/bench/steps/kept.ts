import type { PourPlan } from '../../plan/pourPlan';
import type { UnitSystem } from '../../units';
import { benchSteps } from '.';
import type { BenchStep } from './step';

/** A plan that has its steps with it. */
export type PlanWithSteps = PourPlan & { bench: BenchStep[] };

/**
 * The plan with its steps, as it is kept when the pour begins. A plan that has them already keeps them.
 * @example
 * withSteps(planOf()).bench.length; // 13
 */
export function withSteps(plan: PourPlan, units: UnitSystem = 'metric'): PlanWithSteps {
	return hasSteps(plan) ? plan : { ...plan, bench: benchSteps(plan, units) };
}

const hasSteps = (plan: PourPlan): plan is PlanWithSteps => plan.bench !== undefined;

/**
 * The steps of a pour: those that were kept with it, else as they are made today.
 * @example
 * stepsOf(planOf()).length === benchSteps(planOf()).length; // true
 */
export function stepsOf(plan: PourPlan, units: UnitSystem = 'metric'): BenchStep[] {
	return plan.bench ?? benchSteps(plan, units);
}
