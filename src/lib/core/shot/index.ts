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
export {
	planShot,
	SHOT_KINDS,
	shotInputs,
	type ColourDose,
	type PlannedShot,
	type ShotContext,
	type ShotFiller,
	type ShotInputs,
	type ShotKind,
	type ShotRecipe
} from './inputs';
export { clearLayers, embedInput, liftG, type ClearLayer, type Embed } from './clear';
export { orderTakesG, shortOnShelf, type PartShort } from './onShelf';
export { DUST_G_PER_M2 } from './coldCast';
export { standingCoatMm, STANDS, YIELD_PA } from './brushed';
export { colourCups, togetherPotLifeS, wholeShares, type ColourCup } from './colours';
export { castAreaMm2 } from './rolled';
export { CUP_FILL, type BatchBound } from './solid';
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
export { rankSpares, usuallyLeftMl, type SpareMould } from './spare';
export { lengthenedResin } from './amounts';
export { shotFiller, shotRecipe } from './recipes';
export { AFLOAT, foretoldPercent, trialRecord, type TrialRecord } from './trial';
export {
	POUR_PLACE_KEYS,
	POUR_PLACES,
	POUR_WAY_KEYS,
	POUR_WAYS,
	STEP_ROLES,
	type PourPlace,
	type PourWay,
	type StepRole
} from './pouring';
