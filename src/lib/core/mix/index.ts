export * from './ratio';
export * from './catalyst';
export { viscosityFactor, EINSTEIN_COEFFICIENT, MAX_PACKING } from './viscosityFactor';
export { cupMarkErrorPercent, RATIO_TOLERANCE_PERCENT, weighingErrorPercent } from './weighingError';
export { cupLossMl, cupMarkHeightMm, markVolumeMl, squareCupDiameterMm } from './cupLoss';
export { DEFAULT_FLOW_KJ_PER_MOL, flowEnergyKjPerMol, viscosityAt, type ViscosityPoint } from './viscosityAt';
export { correctPour, correctPourInput, type Correction } from './correctPour';
export { fillerInput, mix, mixInput, mixResinInput, type Amount, type MixInput, type MixResult } from './mix';
export { MEASURING, MEASURING_SCHOOLS, type Measuring } from './measuring';
