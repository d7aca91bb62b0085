import { MOULD_MODULES, type MakingPlan, type MakingStep } from '../mould';
import { formatQuantity, formatWeighed, type UnitSystem } from '../units';

/**
 * The steps of making a mould, in the order of the work, what is weighed in the step of the scale (g).
 * @example
 * makingSteps(makingOf('one-piece')).length; // 9
 */
export function makingSteps(plan: MakingPlan, units: UnitSystem = 'metric', scaleStepG = 1): MakingStep[] {
	return MOULD_MODULES[plan.kind].steps(plan, (value, kind) =>
		kind === 'mass' ? formatWeighed(value, units, scaleStepG) : formatQuantity(value, kind, units)
	);
}
