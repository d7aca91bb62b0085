import { wrap, type Remote } from 'comlink';
import type { PlannerApi } from './planner.worker';

const start = () =>
	new Worker(new URL('./planner.worker.ts', import.meta.url), { type: 'module', name: 'planner' });

let planner: Remote<PlannerApi> | undefined;

/** The planner off the main thread: the same core functions that the server runs. Browser only. */
export function usePlanner(): Remote<PlannerApi> {
	planner ??= wrap<PlannerApi>(start());
	return planner;
}

/** A sum that takes longer than this is not waited for once its question is out of date, ms. */
const PATIENCE_MS = 300;

/**
 * A planner for questions that change while they are answered: a new one ends a long sum for an old one instead of
 * queueing behind it. Whoever asked the old question gets no answer.
 */
export class FreshPlanner {
	#worker: Worker | undefined;
	#planner: Remote<PlannerApi> | undefined;
	/** When the sum that is being done was begun; none when idle. */
	#since: number | undefined;
	#asked = 0;

	/** @returns nothing when a newer question came first */
	async ask<T>(question: (planner: Remote<PlannerApi>) => T): Promise<Awaited<T> | undefined> {
		const mine = ++this.#asked;
		if (this.#since !== undefined && performance.now() - this.#since > PATIENCE_MS) this.stop();
		if (!this.#planner) {
			this.#worker = start();
			this.#planner = wrap<PlannerApi>(this.#worker);
		}
		this.#since ??= performance.now();
		const answer = await question(this.#planner);
		if (mine !== this.#asked) return undefined;
		this.#since = undefined;
		return answer;
	}

	/** Ends what is being worked out; the next question starts afresh. */
	stop(): void {
		this.#worker?.terminate();
		this.#worker = undefined;
		this.#planner = undefined;
		this.#since = undefined;
	}
}
