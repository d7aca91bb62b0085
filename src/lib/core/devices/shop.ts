import { valueOf } from '../outcome';
import { outcomeOf } from '../outcomeOf';
import type { CureRecord } from '../cure';
import { cup } from '../cure/cup';
import { clockCups, resinIn, type PourPlan } from '../plan/pourPlan';
import { SIMULATED, type SimulatedShop } from './simulated';

/** What is otherwise in the shop than the plan takes it to be. */
export interface ShopChange {
	warmerByC?: number;
	leakPerMin?: number;
	overshootS?: number;
	damperBy?: number;
}

/**
 * The simulated shop for a plan: its cup follows the cure engine, its pot the plan's own pump-up time.
 * @example
 * simulatedShop(planOf(), { seed: 7, scaleResolutionG: 0.1 }).timeToPressureS; // 12
 */
export function simulatedShop(
	plan: PourPlan,
	about: { seed: number; scaleResolutionG: number },
	change: ShopChange = {}
): SimulatedShop {
	const warmer = change.warmerByC ?? 0;
	const roomTempC = plan.roomTempC + warmer;
	return {
		...about,
		cups: [],
		layered: (plan.layers?.length ?? 0) > 0,
		roomTempC,
		relativeHumidity: Math.min(98, plan.relativeHumidity + (change.damperBy ?? 0)),
		mouldTempC: plan.mouldTempC + warmer,
		cupTempC: cupCurve(plan, warmer, roomTempC),
		timeToPressureS: plan.steps.find((s) => s.role === 'pump')?.durationS ?? 30,
		leakPerMin: change.leakPerMin ?? SIMULATED.leakPerMin,
		overshootS: change.overshootS ?? SIMULATED.overshootS
	};
}

/** What the gun sees of each cup, by the cure engine; each is worked out when it is first looked at. */
function cupCurve(
	plan: PourPlan,
	warmer: number,
	roomTempC: number
): (elapsedS: number, cup: number) => number {
	const cups = clockCups(plan);
	const startOf = (index: number) => (cups[index]?.startTempC ?? plan.startTempC) + warmer;
	const known = new Map<number, readonly { timeS: number; tempC: number }[]>();
	const seriesOf = (index: number) => {
		const found = known.get(index);
		if (found) return found;
		const series =
			plan.cure && cups[index]
				? courseOf(resinIn(cups[index], plan.cure), cups[index].massG, startOf(index), roomTempC)
				: [];
		known.set(index, series);
		return series;
	};
	return (elapsedS, index) => {
		const series = seriesOf(index);
		const i = series.findIndex((p) => p.timeS >= elapsedS);
		if (i < 0) return series.at(-1)?.tempC ?? startOf(index);
		const [b, a] = [series[i]!, series[i - 1]];
		if (!a) return b.tempC;
		return a.tempC + ((b.tempC - a.tempC) * (elapsedS - a.timeS)) / (b.timeS - a.timeS);
	};
}

function courseOf(resin: CureRecord, massG: number, startTempC: number, roomTempC: number) {
	// a plan out of the engine's range has a cup that stays as it was
	return valueOf(outcomeOf(() => cup({ resin, massG, startTempC, roomTempC }).series)) ?? [];
}
