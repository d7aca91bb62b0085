export { CALCULATIONS, describeCalculations, runCalculation, type CalcOutcome } from './registry';
