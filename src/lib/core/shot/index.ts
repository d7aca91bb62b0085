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
export { keptLayer, type Layer } from './layer';
export { layerAmount } from './layerAmount';
export { alsoInput, type AlsoInput } from './alsoInput';
export type { Also, OtherPiece } from './otherPiece';
export { embedInput, type Embed } from './embeds';
export { shotInputs, type ShotInputs } from './inputs';
export { CASTS } from './kinds/asked';
export type { CastField, CastFieldContext } from './kinds/fields';
export { SHOT_KINDS, type ShotKind } from './kinds/names';
export type { PlannedShot, ShotContext, ShotFiller, ShotRecipe, SprueSizes } from './planned';
export { planShot, withShare } from './planShot';
export { thickestOf, type Thickest } from './thickest';
export { clearLayers, liftG, type ClearLayer } from './kinds/clear/plan';
export { orderTakesG, shortOnShelf, type PartShort } from './onShelf';
export { DUST_G_PER_M2 } from './kinds/cold/dust';
export { standingCoatMm, YIELD_PA } from './kinds/brushed/plan';
export { STANDS } from './kinds/brushed/stands';
export { colourCups, togetherPotLifeS } from './colours';
export { wholeShares } from './shares';
export { castAreaMm2 } from './kinds/rotocast/plan';
export { rotocast, rotocastInput, type Rotocast, type RotocastLayer } from './kinds/rotocast/rotocast';
export { RECOAT_SCHOOLS, TURNS_WANTED } from './kinds/rotocast/schools';
export { LAYER_SCHOOLS, PLACE_KEYS } from './kinds/rotocast/places';
export type { LayerRow } from './kinds/rotocast/layerRow';
export { copyBalance, copyInput, type CopyBalance } from './kinds/filled/filled';
export { FILL_KINDS, FILLS, type Fill } from './kinds/filled/fills';
export { insertInput, type Insert } from './kinds/filled/insert';
export { INSERT_MATERIALS, INSERT_WAYS, type InsertMaterial } from './kinds/filled/materials';
export { settleInsert } from './kinds/filled/settleInsert';
export { sensitivity, whatHelps, type OtherResin, type WhatIf } from './whatIf';
export { copyCost, costInput, handsPerCopyS, type CopyCost, type CostInput } from './cost';
export { shotAnswer, shotQuery, type ShotAnswer, type ShotQuery } from './open';
export { leftPresses, takenFrom, takenOf, type Taken, type TookPull } from './leftOver';
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
export { castCautions } from './castCautions';
export { COLOUR_SCHOOLS, type ColourSchool } from './colourSchools';
