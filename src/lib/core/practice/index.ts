export {
	drawSlips,
	lateS,
	scaleFails,
	shopChange,
	SLIP_NAMES,
	SLIPS,
	slipsFor,
	type Slip,
	type SlipName
} from './faultInjection';
export { groundTruth, type GroundTruth } from './groundTruth';
export { practiceScore, type PracticeMark, type PracticeScore } from './score';
export { lessonPlan } from './lesson';
