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
