import { improving, type PlanProgress, type Workshop } from '$lib/core/orders';

/** What it is asked: from which plan, and for how long, ms. */
export interface Improve {
	workshop: Workshop;
	startsMs: Record<string, number>;
	seed: number;
	forMs: number;
}
export type Improved = PlanProgress & { done: boolean };

/** Told so often, ms. */
const TELL_MS = 250;

// whoever has heard enough ends the worker
self.onmessage = ({ data }: MessageEvent<Improve>) => {
	const untilMs = performance.now() + data.forMs;
	let toldMs = performance.now();
	let last: PlanProgress | undefined;
	for (const known of improving(data.workshop, data.startsMs, data.seed)) {
		last = known;
		const nowMs = performance.now();
		if (nowMs >= untilMs) break;
		if (nowMs - toldMs < TELL_MS) continue;
		toldMs = nowMs;
		self.postMessage({ ...known, done: false } satisfies Improved);
	}
	if (last) self.postMessage({ ...last, done: true } satisfies Improved);
};
