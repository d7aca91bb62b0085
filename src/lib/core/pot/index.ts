export { atmosphereKpa, STANDARD_ATMOSPHERE_KPA } from './atmosphere';
export { pot, potInput, type PotInput, type PotResult } from './pot';
export {
	HOLD_AFTER_COLLAPSE_S,
	RISE_S,
	vacuum,
	vacuumInput,
	type VacuumInput,
	type VacuumPlan
} from './vacuum';
