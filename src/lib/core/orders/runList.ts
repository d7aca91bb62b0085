import type { Planned } from './planOrders';

/** One thing to do, with all that is done at the same time in the same way. */
export interface RunLine extends Planned {
	/** Free hands before it, s: time to sweep or to eat. */
	freeBeforeS: number;
}

/** So long one looks back for what should have begun, ms. */
const LOOKS_BACK_MS = 60 * 60_000;

/**
 * What hands are wanted for, by the clock, from now on.
 * @param untilMs only what begins before then
 * @example
 * runList([], 0, 86_400_000); // []
 */
export function runList(activities: readonly Planned[], nowMs: number, untilMs: number): RunLine[] {
	const lines = activities.filter(
		(a) => a.hands > 0 && a.endMs > nowMs - LOOKS_BACK_MS && a.startMs < untilMs
	);
	let busyUntilMs = nowMs;
	return lines.map((a) => {
		const freeBeforeS = Math.max(0, Math.round((a.startMs - busyUntilMs) / 1000));
		busyUntilMs = Math.max(busyUntilMs, a.endMs);
		return { ...a, freeBeforeS };
	});
}
