import type { Clock } from '$lib/core/bench';

/** An end that passed while nobody looked is still told within this, ms; later it is only seen. */
const STILL_NEWS_MS = 15_000;
/** Two alarms are so far apart, ms: three tones and a short sentence. */
const APART_MS = 2000;

/** What is lost first comes first: liquid resin, then what locks or must be bound in time, then what waits safely. */
const URGENCY: Readonly<Record<Clock['kind'], number>> = {
	'pot-life': 0,
	wait: 1,
	cure: 2,
	hold: 3,
	rubber: 4
};

/**
 * Tells the end of every clock once, on whatever page: when it comes, and again if a reading put it off and it comes a
 * second time. One at a time, the most urgent first. What ended before this page was opened is not news.
 */
export class Alarms {
	readonly #told = new Set<string>();
	#waiting: string[] = [];
	#lastMs = -Infinity;
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
				if (nowMs - clock.endsAtMs <= STILL_NEWS_MS) this.#waiting.push(clock.id);
			}
		}
		// what somebody did in the meantime, or a reading put off, is told no more
		const due = clocks.filter((c) => this.#waiting.includes(c.id) && c.endsAtMs <= nowMs);
		this.#waiting = due.map((c) => c.id);
		const [next] = due.sort((a, b) => URGENCY[a.kind] - URGENCY[b.kind] || a.endsAtMs - b.endsAtMs);
		if (!next || nowMs - this.#lastMs < APART_MS) return;
		this.#waiting = this.#waiting.filter((id) => id !== next.id);
		this.#lastMs = nowMs;
		this.#tell(next);
	}
}
