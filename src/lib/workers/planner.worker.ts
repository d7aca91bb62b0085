import { expose } from 'comlink';
import { tryForecast } from '$lib/core/cure/tryForecast';
import { benchForecast } from '$lib/core/bench';
import { tryPlanShot } from '$lib/core/shot/tryPlan';
import { tryWhatIf } from '$lib/core/shot/whatIf';

const api = { tryPlanShot, tryWhatIf, tryForecast, benchForecast };
export type PlannerApi = typeof api;

expose(api);
