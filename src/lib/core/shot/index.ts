export {
	HOLD_MARGIN,
	lossInput,
	shotStep,
	solidShot,
	solidShotInput,
	type MeasuringSchools,
	type ShotBatch,
	type ShotStep,
	type SolidShot,
	type SolidShotInput
} from './solid';
export { planShot, shotInputs, type PlannedShot, type ShotContext, type ShotInputs } from './inputs';
