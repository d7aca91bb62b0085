export { atmosphereKpa, STANDARD_ATMOSPHERE_KPA } from './atmosphere';
export { pot, potInput, type PotInput, type PotResult } from './pot';
