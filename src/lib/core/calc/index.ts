export { CALCULATIONS, describeCalculations, runCalculation } from './registry';
