/** Something that is running and what to do when it ends. */
export interface Clock {
	readonly id: string;
	readonly kind: 'pot-life' | 'hold' | 'cure' | 'rubber' | 'wait';
	readonly label: string;
	readonly startedAtMs: number;
	readonly endsAtMs: number;
	/** What to do at the end, in a few words. */
	readonly then: string;
	readonly href: string;
	/** Told when it ends, and not shown among what is running. */
	readonly quiet?: true;
}

/** Past its end for so long nothing is lost by a while more, ms (a default of ours). */
const STALE_MS = 24 * 3_600_000;

/**
 * The soonest end first; what has been over for more than a day waits behind all that still runs.
 * @example
 * mostPressingFirst(
 *   clocksOf('p', withSteps(planOf()), reducePour(benchSteps(planOf()), doneAt({ combine: 0 }))),
 *   Date.UTC(2026, 0, 1)
 * ).length; // 1
 */
export function mostPressingFirst(clocks: readonly Clock[], nowMs: number): Clock[] {
	const stale = (c: Clock) => (nowMs - c.endsAtMs > STALE_MS ? 1 : 0);
	return [...clocks].sort((a, b) => stale(a) - stale(b) || a.endsAtMs - b.endsAtMs);
}
