export { meetings } from './meetings';
export { experiencesWith, masterAndRubber, resinAndMould, rulesFor, whatMeets } from './compat';
export {
	experienceRecord,
	MASTER_THINGS,
	masterThing,
	releaseThing,
	resinThing,
	rubberThing,
	thermoplasticThing,
	VERDICTS,
	type Experience,
	type Thing,
	type ThingKind,
	type Verdict
} from './things';
