import { fieldErrors, type FieldError } from '../fieldErrors';
import { catalystPlan, type CatalystPlan, type CatalystPlanInput } from './catalystPlan';
import { forecast, forecastBands, type Forecast, type ForecastBands, type ForecastInput } from './forecast';

/** What the cure screen asks for: a resin, perhaps a second over it, perhaps a catalyst plan. */
export interface CureQuestion {
	main: ForecastInput;
	other?: ForecastInput;
	catalyst?: CatalystPlanInput;
}

export type CureAnswer =
	| { main: Forecast; bands: ForecastBands; other?: Forecast; catalyst?: CatalystPlan }
	| { errors: FieldError[] };

/** Works out a cure screen; bad input is an answer. Plain data, so that it can cross to a worker. */
export function tryForecast(question: CureQuestion): CureAnswer {
	try {
		const main = forecast(question.main);
		return {
			main,
			bands: forecastBands(question.main, main),
			...(question.other ? { other: forecast(question.other) } : {}),
			...(question.catalyst ? { catalyst: catalystPlan(question.catalyst) } : {})
		};
	} catch (error) {
		const errors = fieldErrors(error);
		if (!errors) throw error;
		return { errors };
	}
}
