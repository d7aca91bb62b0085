import type { DemouldSeen, DemouldSign } from '../cure';
import type { PourPlan } from '../plan/pourPlan';
import { HOLD_MARGIN } from '../shot/kinds/solid/solid';
import { benchForecast } from './correct';
import { correctedPlan } from './corrected';
import type { Seen } from './seenWords';
import type { PourState } from './reduce';

const SIGN: Readonly<Partial<Record<Seen, DemouldSign>>> = {
	'demould-soft': 'soft',
	'demould-right': 'right',
	'demould-locked': 'locked'
};

/**
 * What was pressed at demould, against what this pull's plan said without anything learnt: by the readings of its
 * temperatures, so that a slow batch is not taken for a resin that wants longer.
 * @returns the last press of each sort, s after the pour; nothing for a pour without a cure record
 * @example
 * demouldTold(planOf(), reducePour([], [])); // []
 */
export function demouldTold(plan: PourPlan, state: PourState): DemouldSeen[] {
	const { combinedAtMs, pouredAtMs, demouldedAtMs } = state;
	if (!plan.cure || combinedAtMs === undefined || pouredAtMs === undefined) return [];
	const told = new Map<DemouldSign, number>();
	const outMs = demouldedAtMs ?? Infinity;
	let out: DemouldSign | undefined;
	for (const { what, timeS } of state.seen) {
		const sign = SIGN[what];
		if (!sign) continue;
		const atMs = combinedAtMs + timeS * 1000;
		// said of a cast that is out: it was so when it came out, and the last word on it counts
		if (atMs >= outMs) out = sign;
		else if (atMs > pouredAtMs) told.set(sign, (atMs - pouredAtMs) / 1000);
	}
	if (out && outMs > pouredAtMs) told.set(out, (outMs - pouredAtMs) / 1000);
	if (told.size === 0) return [];
	const now = correctedPlan(plan, benchForecast(plan, state));
	const gelS = now.holdUntilS / (1 + HOLD_MARGIN);
	const modelS = gelS + (now.demouldS - gelS) / (plan.cure.maturityFactor ?? 1);
	return [...told].map(([what, atS]) => ({ what, atS, gelS, modelS }));
}
