export {
	HOLD_MARGIN,
	lossInput,
	shotStep,
	solidShot,
	solidShotInput,
	CUP_FILL,
	type ShotStep,
	type SolidShotInput
} from './kinds/solid/solid';
export type { BatchBound, MeasuringSchools, ShotBatch, SolidShot } from './batch';
export type { ColourCup, ColourDose } from './dose';
export { keptLayer, layerAmount, type Layer } from './layer';
export { embedInput, type Embed } from './embeds';
export { shotInputs, type ShotInputs } from './inputs';
export { CAST_MODULES } from './kinds';
export type { CastField, CastFieldContext } from './kinds/fields';
export { SHOT_KINDS, type ShotKind } from './kinds/names';
export type { PlannedShot, ShotContext, ShotFiller, ShotRecipe, SprueSizes } from './planned';
export { planShot, withShare } from './planShot';
export { thickestOf, type Thickest } from './thickest';
export { clearLayers, liftG, type ClearLayer } from './kinds/clear/plan';
export { orderTakesG, shortOnShelf, type PartShort } from './onShelf';
export { DUST_G_PER_M2 } from './kinds/cold/plan';
export { standingCoatMm, STANDS, YIELD_PA } from './kinds/brushed/plan';
export { colourCups, togetherPotLifeS, wholeShares } from './colours';
export { castAreaMm2 } from './kinds/rotocast/plan';
export {
	RECOAT_SCHOOLS,
	rotocast,
	rotocastInput,
	TURNS_WANTED,
	type Rotocast,
	type RotocastLayer
} from './kinds/rotocast/rotocast';
export {
	copyBalance,
	copyInput,
	FILL_KINDS,
	FILLS,
	type CopyBalance,
	type Fill
} from './kinds/filled/filled';
export {
	INSERT_MATERIALS,
	INSERT_WAYS,
	insertInput,
	settleInsert,
	type Insert,
	type InsertMaterial
} from './kinds/filled/insert';
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
export { rotocastCalculation, shotCalculation } from './calculations';
export { costCalculation } from './costCalculation';
