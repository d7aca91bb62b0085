export {
	LIMIT,
	mouldInspection,
	SIGN_NAMES,
	SIGNS,
	signsFor,
	spot,
	worstSign,
	type MouldInspection,
	type Sign,
	type Spot
} from './signs';
export {
	FAMILY_PULLS,
	heatWeight,
	priorPulls,
	RELEASE_HABITS,
	WEAR_FAMILIES,
	wearPrior,
	type WearFamily,
	type WearPrior
} from './prior';
export { successorBy, wearForecast, wearInput, type WearForecast, type WearInput } from './forecast';
export {
	fitWeibull,
	productLimit,
	weibullLogLikelihood,
	weibullSurvival,
	type Life,
	type WeibullFit
} from './weibull';
export { scoreForecasts, wilson, type ForecastScore, type KeptForecast } from './kept';
export { wearAdvice, type Advice } from './advice';
export { wearCalculation } from './calculation';
