import { cup } from '../cure/cup';
import { sections } from '../cure/sections';
import type { ShopChange } from '../devices/shop';
import { clockCups, resinIn, type ClockCup, type PourPlan } from '../plan/pourPlan';

/** What the resin really does in the simulated shop, whatever was planned; s. */
export interface GroundTruth {
	/** Of the cup, after combining. */
	potLifeS: number;
	usableS: number;
	/** After the mould is full: when the slowest place has gelled, and when it is firm. */
	gelS: number;
	demouldS: number;
}

/**
 * The plan's own times where nothing about the resin is different; otherwise the cure engine's.
 * @example
 * groundTruth(planOf(), {}).demouldS; // 900
 */
export function groundTruth(plan: PourPlan, change: ShopChange): GroundTruth {
	const by = change.warmerByC ?? 0;
	const usable = (potLifeS: number) => potLifeS * (plan.usableS / plan.potLifeS);
	if (!plan.cure || !plan.section || plan.layers || plan.cups) {
		const speed = 2 ** (by / 10);
		return {
			potLifeS: plan.potLifeS / speed,
			usableS: plan.usableS / speed,
			gelS: plan.holdUntilS / speed,
			demouldS: plan.demouldS / speed
		};
	}
	const [startTempC, roomTempC] = [plan.startTempC + by, plan.roomTempC + by];
	const [first] = clockCups(plan) as [ClockCup];
	const { potLifeS } = cup({ resin: resinIn(first, plan.cure), massG: first.massG, startTempC, roomTempC });
	const firm = sections(plan.cure, plan.section, {
		startTempC,
		mouldTempC: plan.mouldTempC + by,
		roomTempC
	});
	return {
		potLifeS,
		usableS: usable(potLifeS),
		gelS: firm.gelLastS,
		demouldS: firm.demouldS
	};
}
