export type { Evidence } from './evidence';
export { CAUSES, type Cause, type Clue } from './causes';
export { CAUSE_IDS, FAULTS, type CauseId, type Fault } from './faults';
export { CAUSE_WORDS, FAULT_WORDS } from './words';
export { rankCauses, type RankedCause } from './rank';
export { associate, fisher, type Association, type Counts, type Sureness } from './association';
export { causesCalculation } from './calculation';
