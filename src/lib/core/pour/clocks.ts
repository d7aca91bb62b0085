import type { PourPlan } from './plan';
import type { PourState } from './reduce';

/** Something that is running and what to do when it ends. */
export interface Clock {
	readonly id: string;
	readonly kind: 'pot-life' | 'hold' | 'cure' | 'rubber';
	readonly label: string;
	readonly startedAtMs: number;
	readonly endsAtMs: number;
	/** What to do at the end, in a few words. */
	readonly then: string;
	readonly href: string;
}

/** The clocks that a pour keeps running, worked out from its plan and state. */
export function clocksOf(pourId: string, plan: PourPlan, state: PourState): Clock[] {
	if (state.status !== 'open' || state.combinedAtMs === undefined) return [];
	const label = `${plan.masterName} · ${plan.moulds.map((m) => `M${m.number}`).join(' ')}`;
	const common = { label, href: `/pour/${pourId}` };
	if (state.pouredAtMs === undefined || state.settledAtMs === undefined) {
		return [
			{
				...common,
				id: `${pourId}-pot-life`,
				kind: 'pot-life',
				startedAtMs: state.combinedAtMs,
				endsAtMs: state.combinedAtMs + plan.potLifeS * 1000,
				then: 'too thick to pour'
			}
		];
	}
	const clocks: Clock[] = [];
	const heldOrNoPot = !plan.pot || state.doneAtMs['release'] !== undefined;
	if (!heldOrNoPot) {
		clocks.push({
			...common,
			id: `${pourId}-hold`,
			kind: 'hold',
			startedAtMs: state.pouredAtMs,
			endsAtMs: state.pouredAtMs + plan.holdUntilS * 1000,
			then: 'release the pressure'
		});
	}
	if (state.demouldedAtMs === undefined) {
		clocks.push({
			...common,
			id: `${pourId}-cure`,
			kind: 'cure',
			startedAtMs: state.pouredAtMs,
			endsAtMs: state.pouredAtMs + plan.demouldS * 1000,
			then: 'demould'
		});
	}
	return clocks;
}
