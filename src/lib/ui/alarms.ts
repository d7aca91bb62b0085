import type { Clock } from '$lib/core/bench';

/** An end that passed while nobody looked is still told within this, ms; later it is only seen. */
const STILL_NEWS_MS = 15_000;
/** Two alarms are so far apart, ms: a voice has said the one before the next begins. */
const APART_MS = 3000;
/** What waits is not told so shortly before a pot life ends, ms: there the bench counts down. */
const HANDS_FULL_MS = 10_000;

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
		const full = clocks.some(
			(c) => c.kind === 'pot-life' && c.endsAtMs > nowMs && c.endsAtMs - nowMs < HANDS_FULL_MS
		);
		if (full && next.kind !== 'pot-life') return;
		this.#waiting = this.#waiting.filter((id) => id !== next.id);
		this.#lastMs = nowMs;
		this.#tell(next);
	}
}
