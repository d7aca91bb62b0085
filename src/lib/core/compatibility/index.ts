export { meetings, pourMeetings } from './meetings';
export {
	experiencesWith,
	masterAndRubber,
	resinAndMould,
	rulesFor,
	whatMeets,
	withoutRelease
} from './compatibility';
export {
	experienceRecord,
	MASTER_THINGS,
	masterThing,
	releaseThing,
	resinThing,
	rubberThing,
	RIGID_THINGS,
	wetThing,
	rigidThing,
	thermoplasticThing,
	VERDICTS,
	type Experience,
	type RigidSource,
	type Thing
} from './things';
export { compatibilityCalculation } from './calculation';
