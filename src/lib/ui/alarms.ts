import type { Clock } from '$lib/core/bench';

/** An end that passed while nobody looked is still told within this, ms; later it is only seen. */
const STILL_NEWS_MS = 15_000;

/**
 * Tells the end of every clock once, on whatever page: when it comes, and again if a reading put it off and it comes a
 * second time. What ended before this page was opened is not news.
 */
export class Alarms {
	readonly #told = new Set<string>();
	readonly #tell: (clock: Clock) => void;
	constructor(tell: (clock: Clock) => void) {
		this.#tell = tell;
	}

	/** Looks at the clocks at a moment; called a few times a second. */
	look(clocks: readonly Clock[], nowMs: number): void {
		for (const clock of clocks) {
			if (clock.endsAtMs > nowMs) this.#told.delete(clock.id);
			else if (!this.#told.has(clock.id)) {
				this.#told.add(clock.id);
				if (nowMs - clock.endsAtMs <= STILL_NEWS_MS) this.#tell(clock);
			}
		}
	}
}
