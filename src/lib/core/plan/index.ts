export { composePlan, PLAN_VERSION, type ShotToPour } from './compose';
export { planDifferences, type Difference } from './differences';
export {
	harmsOf,
	mouldFigures,
	otherPiece,
	sprueVolumeMl,
	shotContextOf,
	type MouldFigures,
	type PlanRecords,
	type PlanTin
} from './records';
export {
	inspectionsWanted,
	NEAR_END_PULLS,
	pourToday,
	stockWanted,
	successorWanted,
	type PourToday,
	type TodayTin,
	type Wanted
} from './today';
export { taughtFor, type PulledPresses } from './taught';
export { benchStep, type BenchStep } from './step';
export { movedStamps, stamp, type Stamp } from './stamps';
export { ownCopies } from './ownCopies';
export { clockCups, pourPlan, resinIn, type ClockCup, type PourPlan } from './pourPlan';
export { inPotLoad, NEXT_CUP_S } from './potLoad';
export { holdFloorKpa, marksOf, mixOneCupS } from './marks';
export { sizing, sizingWhatIf, type ProposedShare, type Sizing, type SizingQuestion } from './sizing';
