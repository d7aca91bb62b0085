export {
	cavityInput,
	mouldBlock,
	mouldBlockInput,
	rubberInput,
	type Cavity,
	type MouldBlockResult
} from './block';
export {
	blockPlanInput,
	cavityFor,
	masterSizeInput,
	outerVolumeMl,
	planBlock,
	type BlockPlan,
	type BlockPlanInput,
	type MasterSize
} from './plan';
export { MOULD_STATES, nextMouldStates, type MouldState } from './state';
export { mouldInputs, planMould, type MouldInputs, type MouldPlan } from './inputs';
export { planTwoPart, twoPartInput, type MouldHalf, type TwoPartInput, type TwoPartPlan } from './twoPart';
