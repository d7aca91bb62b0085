import { expose } from 'comlink';
import { tryPlanShot } from '$lib/core/shot/tryPlan';

const api = { tryPlanShot };
export type PlannerApi = typeof api;

expose(api);
