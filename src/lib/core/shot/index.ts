export {
	HOLD_MARGIN,
	lossInput,
	shotStep,
	solidShot,
	solidShotInput,
	type LayerCup,
	type MeasuringSchools,
	type ShotBatch,
	type ShotStep,
	type SolidShot,
	type SolidShotInput
} from './solid';
export { planShot, shotInputs, type PlannedShot, type ShotContext, type ShotInputs } from './inputs';
export {
	RECOAT_SCHOOLS,
	rotocast,
	rotocastInput,
	TURNS_WANTED,
	type RecoatSchool,
	type Rotocast,
	type RotocastLayer
} from './rotocast';
export {
	copyBalance,
	copyInput,
	FILL_KINDS,
	FILLS,
	insertInput,
	type CopyBalance,
	type Fill
} from './filled';
export { sensitivity, whatHelps, type OtherResin, type WhatIf } from './whatIf';
export { copyCost, costInput, handsPerCopyS, type CopyCost, type CostInput } from './cost';
export { shotAnswer, shotQuery, type ShotAnswer, type ShotQuery } from './open';
export { rankSpares, type SpareMould } from './spare';
