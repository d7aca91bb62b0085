export { settingTimes, shellSetS, type MakingPlan } from './plan';
export { makingSteps } from './steps';
export type { MakingStep } from './step';
export {
	inspectionInput,
	makingEvent,
	MOULD_FAULTS,
	waterOffPercent,
	type Inspection,
	type MakingEvent
} from './events';
export { makingCut, makingCuts } from './waits';
export { makingClocks, placed, readyAtMs, reduceMaking, type MakingState } from './reduce';
