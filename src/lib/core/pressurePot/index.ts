export { atmosphereKpa, STANDARD_ATMOSPHERE_KPA } from './atmosphere';
export { pot, potInput, type PotInput, type PotResult } from './pressurePot';
export {
	HOLD_AFTER_COLLAPSE_S,
	RISE_S,
	vacuum,
	vacuumInput,
	type VacuumInput,
	type VacuumPlan
} from './vacuum';
export {
	INSPECTION_DEFAULTS,
	INSPECTED_PARTS,
	INSPECTED,
	tapeWord,
	vesselRecord,
	type InspectedPart,
	type VesselRecord
} from './vessel';
export { deliveredLPerMin, leak, pumpUpS, type Delivery } from './delivery';
export { inspectionsDue, refusedFor, type Inspection, type InspectionDue } from './inspections';
export { packShelf, ringRadius, type Footprint, type Placed } from './packing';
export { deliveryOf, LOAD_GAP_MM, planLoad, type Load, type LoadPlan } from './loadPlan';
export { potCalculation, vacuumCalculation } from './calculations';
export { loadPlanCalculation } from './loadCalculation';
