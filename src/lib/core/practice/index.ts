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
} from './slips';
export { practiceTruth, type PracticeTruth } from './truth';
export { practiceScore, type PracticeMark, type PracticeScore } from './score';
export { lessonPlan } from './lesson';
