import type { PourPlan } from '../plan/pourPlan';

/**
 * Whether what is cast is no resin: it has its own steps, and no engine that foretells it.
 * @example
 * isCastablePlan(planOf()); // false
 */
export const isCastablePlan = (plan: Pick<PourPlan, 'chemistry'>): boolean =>
	plan.chemistry === 'plaster' || plan.chemistry === 'melt';
