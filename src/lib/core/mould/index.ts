export { BASE_BOARD } from './boxing';
export {
	cavityInput,
	cavityVolumeMl,
	mouldBlock,
	mouldBlockInput,
	rubberInput,
	type Cavity,
	type MouldBlockResult
} from './block';
export { blockPlanInput, cavityFor, planBlock, type BlockPlan, type BlockPlanInput } from './boxedBlock';
export { MOULD_STATES, nextMouldStates, STATE_WORDS, type MouldState } from './state';
export { mouldInputs, type MouldInputs } from './inputs';
export { planMould } from './planMould';
export type { MouldMaterials, MouldPlan, MouldPour } from './planned';
export { masterOutline, type PieceOutline } from './outline';
export { outlineOf, slicesOf } from './slices';
export { inRubber, MADE_OF, MOULD_KINDS, type MadeOf, type MouldKind } from './kinds/names';
export { MOULD_MODULES, USUAL_CLOSING } from './kinds';
export { KIND_WORDS, MOULD_WORDS } from './kinds/words';
export type { FieldContext, KindField, MouldDrawings, MouldModule } from './kinds/module';
export type { MakingPlan } from './steps/plan';
export type { MakingStep } from './steps/step';
export { planJacket, jacketInput, type Coat, type JacketPlan } from './kinds/jacket/jacket';
export { planPress, pressInput, type PressPlan } from './kinds/press/press';
export { planRigid, rigidInput, type RigidPlan } from './kinds/rigid/rigid';
export { splitMixes, mixesInput, MIX_S, type Mixes } from './mixes';
export { boardsFor, brickCourses, tubeFor, type Course, type CutPiece, type Slice } from './boxing';
export { gridFor, type Grid } from './cavities';
export {
	CLOSING_WORDS,
	CLOSINGS,
	closingWords,
	keysFor,
	reliefWords,
	SEAM_SIDES,
	seamFor,
	type Closing,
	type Keys,
	type Seam
} from './details';
export {
	planTwoPart,
	twoPartInput,
	type MouldHalf,
	type TwoPartInput,
	type TwoPartPlan
} from './kinds/twoPart/twoPart';
export { drawMould, sideBySide } from './draw';
export { cavityPlaces } from './kinds/block/planView';
export { shoreFor, rubberChoices, type RubberChoice, type RubberQuestion } from './rubberChoice';
export { chooseMould, USUAL_HOURLY, USUAL_PRICE_PER_KG, locksOf, type MouldOption } from './chooser';
export { chooserInput, type ChooserInput } from './chooserInput';
export { costOf, type MouldCost } from './cost';
export { jobsForSpare, type WaitingJob } from './spare';
export { faceTempC } from './faceTemp';
export { mixingOf, vacuumOf } from './mixing';
export { closingOf, outsideMl, spread, standingOf, wallMm, wallOf } from './standing';
export { mixesCalculation } from './calculation';
export { chooserCalculation } from './chooserCalculation';
