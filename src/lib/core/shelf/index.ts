export {
	chemistryOf,
	cureOf,
	isCatalysed,
	mixable,
	mixedDensityGPerMl,
	ratiosOf,
	name,
	note,
	resinRecord,
	type MixableResin,
	type ResinRecord
} from './resin';
export { rubberForBlock, rubberRecord, type RubberRecord } from './rubber';
export {
	containerHealth,
	containerRecord,
	LOW_SHARE,
	remainingG,
	type ContainerHealth,
	type ContainerRecord
} from './container';
export { consistency, fillerRecord, settlingMm, type Consistency, type FillerRecord } from './filler';
