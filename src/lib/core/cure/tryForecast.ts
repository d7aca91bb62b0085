import type { Outcome } from '../outcome';
import { outcomeOf } from '../outcomeOf';
import { catalystPlan, type CatalystPlan, type CatalystPlanInput } from './catalystPlan';
import { forecast, forecastBands, type Forecast, type ForecastBands, type ForecastInput } from './forecast';

/** What the cure screen asks for: a resin, perhaps a second over it, perhaps a catalyst plan. */
export interface CureQuestion {
	main: ForecastInput;
	other?: ForecastInput;
	catalyst?: CatalystPlanInput;
	/** Without bands and catalyst, which take most of the time: something is still being dragged. */
	hasty?: boolean;
}

export interface CureAnswer {
	main: Forecast;
	/** Unless it was asked in haste. */
	bands?: ForecastBands;
	other?: Forecast;
	/** Where it was asked for, unless it was asked in haste. */
	catalyst?: CatalystPlan;
}

/** Works out a cure screen; bad input is an answer. Plain data, so that it can cross to a worker. */
export const tryForecast = (question: CureQuestion): Outcome<CureAnswer> =>
	outcomeOf(() => {
		const main = forecast(question.main);
		return {
			main,
			...(question.hasty ? {} : { bands: forecastBands(question.main, main) }),
			...(question.other ? { other: forecast(question.other) } : {}),
			...(question.catalyst && !question.hasty ? { catalyst: catalystPlan(question.catalyst) } : {})
		};
	});
