export type { Evidence } from './evidence';
export { CAUSES, type Cause, type Clue, type FaultName } from './causes';
export { rankCauses, type RankedCause } from './rank';
export { associate, fisher, type Association, type Counts } from './association';
