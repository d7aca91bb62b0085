import { wrap, type Remote } from 'comlink';
import type { PlannerApi } from './planner.worker';

let planner: Remote<PlannerApi> | undefined;

/** The planner off the main thread: the same core functions that the server runs. Browser only. */
export function usePlanner(): Remote<PlannerApi> {
	planner ??= wrap<PlannerApi>(
		new Worker(new URL('./planner.worker.ts', import.meta.url), { type: 'module', name: 'planner' })
	);
	return planner;
}
