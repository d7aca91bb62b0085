export {
	CALCULATIONS,
	describeCalculations,
	fieldErrors,
	runCalculation,
	type CalcOutcome,
	type FieldError
} from './registry';
