import { expose } from 'comlink';
import { tryForecast } from '$lib/core/cure/tryForecast';
import { tryPlanShot } from '$lib/core/shot/tryPlan';

const api = { tryPlanShot, tryForecast };
export type PlannerApi = typeof api;

expose(api);
