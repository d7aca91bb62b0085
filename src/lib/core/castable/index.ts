export { castableInputs, type CastableInputs } from './inputs';
export { planCastable, type CastableContext, type CastableMould, type CastablePlan } from './plan';
export { castablePourPlan, type CastableRecords } from './pourPlan';
