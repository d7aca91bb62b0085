export { makingSteps } from './steps';
export {
	inspectionInput,
	makingEvent,
	MOULD_FAULT_WORDS,
	MOULD_FAULTS,
	waterOffPercent,
	type Inspection,
	type MakingEvent
} from './events';
export { weighedPours, weighedProblem, type WeighedPour } from './weighed';
export { makingCut, makingCuts } from './waits';
export { makingClocks, placed, readyAtMs, reduceMaking, type MakingState } from './reduce';
