export { masterRecord, referenceSize, SEALINGS, SURFACES, type MasterRecord } from './master';
export { displacedMl, masterVolumeMl, usedReading } from './volume';
export { volumeReading, type ReadingMethod, type VolumeReading } from './reading';
export { METHOD_NAMES, readVolume, SPREAD_LIMIT, spreadOf, type Spread } from './readVolume';
export {
	draftProblems,
	formFromMaster,
	hasDraft,
	masterForm,
	masterFromForm,
	readingSoFar,
	TYPED_METHODS,
	type FormPiece,
	type MasterForm
} from './form';
export {
	CURES,
	opening,
	picturedRecord,
	shapeChoice,
	shapeRecord,
	trapRecord,
	type Opening,
	type PicturedRecord,
	type ShapeChoice,
	type ShapeFindings,
	type ShapeRecord,
	type TrapRecord
} from './shape';
export { LOOKS, lookForm, trapsFromLook, type LookForm } from './look';
export { MASTER_MATERIALS, type MasterMaterial } from './materials';
export { UNMEASURED } from './unmeasured';
