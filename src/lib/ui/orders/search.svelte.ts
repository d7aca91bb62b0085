import type { Workshop } from '$lib/core/orders';
import type { Improved } from '$lib/workers/orders.worker';
import { searchingWorker } from '$lib/workers/ordersWorker';

/** So long a better plan is looked for unless it is stopped, ms. */
const FOR_MS = 10_000;

/** The search for a better plan beside the page: how far it is, and the best that was found. */
export class PlanSearch {
	known = $state.raw<Improved>();
	running = $state(false);
	/** The moment from which its times are counted, ms since 1970. */
	asOfMs = 0;
	#worker: Worker | undefined;
	#seed = 1;

	start(workshop: Workshop, startsMs: Record<string, number>): void {
		this.stop();
		this.known = undefined;
		this.running = true;
		this.asOfMs = workshop.nowMs;
		this.#worker = searchingWorker(
			{ workshop, startsMs, seed: this.#seed++, forMs: FOR_MS },
			(known) => {
				this.known = known;
				if (known.done) this.stop();
			},
			() => this.stop()
		);
	}

	/** What was found so far stands. */
	stop(): void {
		this.#worker?.terminate();
		this.#worker = undefined;
		this.running = false;
	}
}
