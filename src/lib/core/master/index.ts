export { masterRecord, readVolume, volumeReading, type MasterRecord, type VolumeReading } from './master';
export { formFromMaster, masterForm, masterFromForm, volumeSoFar, type MasterForm } from './form';
export { MASTER_MATERIALS, type MasterMaterial } from './materials';
