export {
	MASTER_MATERIALS,
	masterRecord,
	readVolume,
	volumeReading,
	type MasterRecord,
	type VolumeReading
} from './master';
export { formFromMaster, masterForm, masterFromForm, volumeSoFar, type MasterForm } from './form';
