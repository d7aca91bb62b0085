export * from './ratio';
export * from './catalyst';
export { viscosityFactor, EINSTEIN_COEFFICIENT, MAX_PACKING } from './viscosityFactor';
export { cupMarkErrorPercent, RATIO_TOLERANCE_PERCENT, weighingErrorPercent } from './weighingError';
export { cupLossMl, cupMarkHeightMm, squareCupDiameterMm } from './cupLoss';
export { correctPour, correctPourInput, type Correction } from './correctPour';
export { fillerInput, mix, mixInput, mixResinInput, type Amount, type MixInput, type MixResult } from './mix';
