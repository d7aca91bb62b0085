import type { PourPlan } from '../plan/pourPlan';

type Layer = NonNullable<PourPlan['layers']>[number];
type LayerClocks = Pick<Layer, 'potLifeS' | 'lockS' | 'gelS' | 'recoatFromS' | 'recoatUntilS'>;

/** The forecast of a running pour as the bench knows it by now. */
export interface BenchForecast {
	potLifeS: number;
	/** Pot life less the plan's margin. */
	usableS: number;
	/** 80 % band of the pot life; only with readings. Of layers that of the last one that was read. */
	potLifeLowS?: number;
	potLifeHighS?: number;
	holdUntilS: number;
	demouldS: number;
	/** From when it may be bent out; nothing for a plan that does not say. */
	flexibleS?: number;
	/** Of one that is taken out while it gives: from when it is stiff. */
	stiffS?: number;
	/** Speed of this batch against what the plan took for it; only with readings. */
	rateFactor?: number;
	rmsC?: number;
	/** The clocks of each layer of a cast that is built up. */
	layers?: LayerClocks[];
	/** Of colours poured together: each cup’s pot life, and when it is warm enough, s after its own combining. */
	cups?: { potLifeS: number; warmS?: number }[];
}

/** A planned band that goes with its time; once readings say their own, that one. */
const movedBand = (
	planned: NonNullable<PourPlan['potLifeBand']>,
	share: number,
	lowS: number | undefined,
	highS: number | undefined
) =>
	lowS !== undefined && highS !== undefined
		? { lowS, highS, mostly: 'the thermometer' }
		: { ...planned, lowS: planned.lowS * share, highS: planned.highS * share };

/**
 * The plan with its times corrected; as it was when nothing corrects it.
 * @example
 * correctedPlan(planOf(), undefined).potLifeS; // 150
 */
export function correctedPlan<P extends PourPlan>(plan: P, forecast: BenchForecast | undefined): P {
	if (!forecast) return plan;
	const { potLifeS, usableS, holdUntilS, demouldS, flexibleS, potLifeLowS, potLifeHighS } = forecast;
	const { demouldBand, potLifeBand } = plan;
	const share = demouldS / plan.demouldS;
	const layers = plan.layers?.map((l, i) => ({ ...l, ...forecast.layers?.[i] }));
	// a cup that is never warm enough has no such moment any more
	const cups = plan.cups?.map(({ warmS: _planned, ...c }, i) => ({ ...c, ...forecast.cups?.[i] }));
	return {
		...plan,
		potLifeS,
		usableS,
		// another in the same pot may want it for longer
		holdUntilS: plan.potLoad ? Math.max(plan.holdUntilS, holdUntilS) : holdUntilS,
		demouldS,
		...(flexibleS === undefined ? {} : { flexibleS }),
		...(forecast.stiffS === undefined ? {} : { out: { stiffS: forecast.stiffS } }),
		...(demouldBand
			? { demouldBand: { ...demouldBand, lowS: demouldBand.lowS * share, highS: demouldBand.highS * share } }
			: {}),
		...(potLifeBand
			? { potLifeBand: movedBand(potLifeBand, potLifeS / plan.potLifeS, potLifeLowS, potLifeHighS) }
			: {}),
		...(layers ? { layers } : {}),
		...(cups ? { cups } : {})
	};
}
