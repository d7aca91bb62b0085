import { expose } from 'comlink';
import { tryForecast } from '$lib/core/cure/tryForecast';
import { benchForecast } from '$lib/core/pour';
import { tryPlanShot } from '$lib/core/shot/tryPlan';

const api = { tryPlanShot, tryForecast, benchForecast };
export type PlannerApi = typeof api;

expose(api);
