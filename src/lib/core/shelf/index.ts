export { starterShelf, TYPICAL_RESIN_NAMES, typicalResin, type TypicalResin } from './starter';
export {
	colourSheet,
	fillerSheet,
	resinSheet,
	rubberSheet,
	sheetOf,
	thermoplasticSheet,
	USUAL_WORDS,
	usualOf,
	usualWarnings,
	usualWords,
	withUsual,
	type SheetKind
} from './usual';
export { name, note } from './fields';
export {
	chemistryOf,
	cureOf,
	isCatalysed,
	mixable,
	mixedDensityGPerMl,
	ratiosOf,
	resinRecord,
	viscosityOf,
	type MixableResin,
	type ResinRecord,
	type TaughtResin
} from './resin';
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
	tinsInUse,
	LOW_SHARE,
	remainingG,
	stockWarnings,
	type ContainerHealth,
	type ContainerRecord
} from './container';
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
	FLASH_OFF_S,
	flashOffS,
	isPaintable,
	PAINTABLE,
	RELEASE_KINDS,
	releaseRecord,
	thermoplasticRecord,
	type ReleaseKind,
	type ReleaseRecord,
	type ThermoplasticRecord
} from './release';
