import type { Part } from './parts';
import type { Planned } from './planOrders';

/** One thing to do, with what hands do of the same pull right after it. */
export interface RunLine extends Planned {
	/** Without a break after the first. */
	then: Part[];
	/** Hands have nothing to do for so long before it while somebody is there, s. */
	freeBeforeS: number;
}

/** So long one looks back for what should have begun, ms. */
const LOOKS_BACK_MS = 60 * 60_000;

/**
 * What hands are wanted for, by the clock, from now on.
 * @param untilMs only what begins before then
 * @param openings when somebody is there, ms since 1970
 * @example
 * runList([], 0, 86_400_000, []); // []
 */
export function runList(
	activities: readonly Planned[],
	nowMs: number,
	untilMs: number,
	openings: readonly { fromMs: number; untilMs: number }[]
): RunLine[] {
	const lines: RunLine[] = [];
	let busyUntilMs = nowMs;
	for (const a of activities) {
		if (a.hands === 0 || a.endMs <= nowMs - LOOKS_BACK_MS || a.startMs >= untilMs) continue;
		const last = lines[lines.length - 1];
		if (last && a.startMs === last.endMs && last.number !== undefined && pullOf(last) === pullOf(a)) {
			last.then.push(a.part);
			last.endMs = a.endMs;
		} else
			lines.push({
				...a,
				then: [],
				freeBeforeS: Math.round(openMs(openings, busyUntilMs, a.startMs) / 1000)
			});
		busyUntilMs = Math.max(busyUntilMs, a.endMs);
	}
	return lines;
}

const pullOf = ({ lineId, number }: Planned) => `${lineId}/${number}`;

/** How much of a time somebody is there, ms. */
function openMs(
	openings: readonly { fromMs: number; untilMs: number }[],
	fromMs: number,
	untilMs: number
): number {
	return openings.reduce(
		(sum, o) => sum + Math.max(0, Math.min(o.untilMs, untilMs) - Math.max(o.fromMs, fromMs)),
		0
	);
}
