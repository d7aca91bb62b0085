export { makingSteps } from './steps';
export { inspectionInput, makingEvent, type Inspection, type MakingEvent } from './events';
export { MOULD_FAULT_WORDS, MOULD_FAULTS, waterOffPercent } from './firstLook';
export { weighedPours, weighedProblem, type WeighedPour } from './weighed';
export { makingCut, makingCuts } from './waits';
export { makingClocks, placed, readyAtMs, reduceMaking, type MakingState } from './reduce';
