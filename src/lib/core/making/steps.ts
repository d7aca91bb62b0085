import { MOULD_MODULES, type MakingPlan, type MakingStep } from '../mould';
import { formatQuantity, type UnitSystem } from '../units';

/**
 * The steps of making a mould, in the order of the work.
 * @example
 * makingSteps(makingOf('one-piece')).length; // 9
 */
export function makingSteps(plan: MakingPlan, units: UnitSystem = 'metric'): MakingStep[] {
	return MOULD_MODULES[plan.kind].steps(plan, (value, kind) => formatQuantity(value, kind, units));
}
