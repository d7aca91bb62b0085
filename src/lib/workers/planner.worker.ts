import { expose } from 'comlink';
import { benchForecast } from '$lib/core/bench';
import { tryCure } from '$lib/core/shelf/cureSheet';
import { tryPlanShot } from '$lib/core/shot/tryPlan';
import { sizing, sizingWhatIf } from '$lib/core/plan/sizing';

const api = { sizing, sizingWhatIf, tryPlanShot, tryCure, benchForecast };
export type PlannerApi = typeof api;

expose(api);
