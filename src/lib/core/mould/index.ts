export {
	cavityInput,
	cavityVolumeMl,
	mouldBlock,
	mouldBlockInput,
	rubberInput,
	type Cavity,
	type MouldBlockResult
} from './block';
export { blockPlanInput, cavityFor, planBlock, type BlockPlan, type BlockPlanInput } from './plan';
export { MOULD_STATES, nextMouldStates, type MouldState } from './state';
export {
	mouldInputs,
	outlineOf,
	planMould,
	slicesOf,
	type MouldInputs,
	type MouldMaterials,
	type MouldPlan,
	type MouldPour
} from './inputs';
export { inRubber, isBlock, KIND_WORDS, MOULD_KINDS, OPENS_WORDS, type MouldKind } from './kinds';
export { planJacket, jacketInput, type Coat, type JacketPlan } from './jacket';
export { planPress, pressInput, type PressPlan } from './press';
export { planRigid, rigidInput, type RigidPlan } from './rigid';
export { splitMixes, mixesInput, MIX_S, type Mixes } from './mixes';
export { boardsFor, brickCourses, tubeFor, type Course, type CutPiece, type Slice } from './boxing';
export { gridFor, type Grid } from './cavities';
export {
	CLOSINGS,
	closingWords,
	keysFor,
	reliefWords,
	SEAM_SIDES,
	seamFor,
	USUAL_CLOSING,
	type Closing,
	type Keys,
	type Seam
} from './details';
export { planTwoPart, twoPartInput, type MouldHalf, type TwoPartInput, type TwoPartPlan } from './twoPart';
export { cavityPlaces, drawMould, sideBySide, type MouldDrawings } from './draw';
export { shoreFor, rubberChoices, type RubberChoice, type RubberQuestion } from './rubberChoice';
export { chooseMould, chooserInput, locksOf, type ChooserInput, type MouldOption } from './chooser';
export { costOf, jobsForSpare, type MouldCost, type WaitingJob } from './cost';
export { faceTempC } from './faceTemp';
export { mixingOf, vacuumOf } from './mixing';
export { closingOf, outsideMl, spread, standingOf, wallMm, wallOf } from './standing';
