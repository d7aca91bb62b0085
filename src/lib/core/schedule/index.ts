export { scheduleCalculation } from './calculation';
export { breaches, type Breach } from './check';
export { scheduleInput, SCHEDULE_LIMITS } from './input';
export type { Activity, After, Opening, Project, Resource, Starts } from './project';
export { chanceOf } from './chance';
export { endsNoSoonerS } from './endsNoSooner';
export { follow, followedStarts } from './follow';
export { schedule, type Budget, type Schedule } from './schedule';
export { solving, type Progress } from './solve';
