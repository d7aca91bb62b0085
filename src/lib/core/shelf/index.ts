export { starterShelf, TYPICAL_RESIN_NAMES, typicalResin, type TypicalResin } from './starter';
export {
	colourSheet,
	fillerSheet,
	resinSheet,
	rubberSheet,
	sheetOf,
	thermoplasticSheet,
	usualOf,
	withUsual,
	type SheetKind
} from './usual';
export { USUAL_WORDS, usualWarnings, usualWords } from './usualWords';
export { name, note } from './fields';
export { resinRecord, type ResinRecord, type TaughtResin } from './resin';
export { cureOf, mixable, mixedDensityGPerMl, ratiosOf, viscosityOf, type MixableResin } from './resinSums';
export { chemistryOf, isCatalysed, RESIN_FAMILIES, type ResinFamily } from './chemistry';
export { tryCure, type ShelfCureQuestion } from './cureSheet';
export { shotsLeft } from './shotsLeft';
export {
	coloursOf,
	mixSheet,
	type FillerPer,
	type MixColour,
	type MixFiller,
	type MixSheet
} from './mixSheet';
export { rubberForBlock, rubberRecord, type RubberRecord } from './rubber';
export {
	containerHealth,
	containerRecord,
	containerChange,
	type ContainerChange,
	containerSpeed,
	LOW_SHARE,
	remainingG,
	type ContainerRecord
} from './container';
export { stockWarnings, TIN_PARTS, tinsInUse, type ContainerHealth } from './inUse';
export { consistency, fillerRecord, settlingMm, type Consistency, type FillerRecord } from './filler';
export {
	COLOUR_DROPS_PER_ML,
	COLOUR_KINDS,
	colourLoad,
	colourRecord,
	colourSide,
	dropsOf,
	isPowder,
	massOfDropsG,
	recipeRecord,
	scaleRecipe,
	shadeAdvice,
	type ColourRecord,
	type RecipeRecord,
	type ScaledColour
} from './colour';
export {
	isPaintable,
	PAINTABLE,
	releaseRecord,
	thermoplasticRecord,
	type ReleaseRecord,
	type ThermoplasticRecord
} from './release';
export { FLASH_OFF_S, flashOffS, RELEASE_KINDS, type ReleaseKind } from './flashOff';
export {
	CASTABLE_SORTS,
	CASTABLE_USUAL,
	castableRecord,
	type CastableRecord,
	type CastableSort
} from './castable';
export {
	bookingsFor,
	inStockOrder,
	MOVEMENT_KINDS,
	MOVEMENT_WORDS,
	stockOf,
	type Booked,
	type Booking,
	type Movement,
	type MovementKind,
	type Stock,
	type StockLine
} from './stock';
export { cupVolumeMl, markInCup } from './cupMarks';
export { markCupRecord, type MarkCup } from './markCup';
