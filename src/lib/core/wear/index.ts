export { LIMIT, SIGN_NAMES, SIGNS, signsFor, worstSign, type Sign } from './signs';
export { mouldInspection, spot, type MouldInspection, type Spot } from './inspection';
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
