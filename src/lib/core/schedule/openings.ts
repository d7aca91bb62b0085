import type { Opening } from './project';

/** The first moment from `t` on from which a calendar is open for as long as `d`, s; Infinity for never. */
export function inOpening(calendar: readonly Opening[] | undefined, t: number, d: number): number {
	if (!calendar) return t;
	let lo = 0;
	let hi = calendar.length;
	while (lo < hi) {
		const mid = (lo + hi) >> 1;
		if (calendar[mid]!.untilS <= t) lo = mid + 1;
		else hi = mid;
	}
	for (; lo < calendar.length; lo++) {
		const start = Math.max(t, calendar[lo]!.fromS);
		if (start + d <= calendar[lo]!.untilS) return start;
	}
	return Infinity;
}

/** The first moment at which a calendar has been open for so long from a moment on, s; Infinity for never. */
export function afterWork(calendar: readonly Opening[] | undefined, fromS: number, workS: number): number {
	if (!calendar) return fromS + workS;
	let left = workS;
	for (const o of calendar) {
		const start = Math.max(o.fromS, fromS);
		if (start >= o.untilS) continue;
		if (o.untilS - start >= left) return start + left;
		left -= o.untilS - start;
	}
	return Infinity;
}
