import { cup } from '../cure/cup';
import type { CureRecord } from '../cure';
import { sections } from '../cure/sections';
import { SPREADS } from '../cure/spread';
import { clockCups, resinIn, type PourPlan } from '../plan/pourPlan';
import type { Seen } from './seenWords';

/** What was seen, and when, s after combining. */
export interface SeenAt {
	what: Seen;
	timeS: number;
}

/** A cup is felt to be warm from so much over its start, K (a default of ours). */
const FELT_K = 8;

/** A sign this many times too early or too late is a slip of the finger or of the clock, not a batch (a default of ours). */
const SLIP = 3;

/** How loosely an eye tells the moment: one standard deviation of ln(time) (defaults of ours). */
const LOOSE: Readonly<Partial<Record<Seen, number>>> = {
	warm: 0.35,
	strings: 0.2,
	'middle-turned': 0.25,
	'drip-turned': 0.3,
	'left-over-rigid': 0.35
};

interface Climate {
	startTempC: number;
	mouldTempC: number;
	roomTempC: number;
}

/** When the model has each happen, s after combining; nothing for what says no moment. */
function expectedS(what: Seen, plan: PourPlan, resin: CureRecord, climate: Climate): number | undefined {
	const [first] = clockCups(plan);
	const inCup = () =>
		cup({
			resin: resinIn(first!, resin),
			massG: first!.massG,
			startTempC: climate.startTempC,
			roomTempC: climate.roomTempC,
			pourTempC: climate.startTempC + FELT_K
		});
	switch (what) {
		case 'warm':
			return inCup().reachesPourTempS;
		case 'strings':
			return inCup().gelTimeS;
		case 'left-over-rigid':
			return inCup().peakTimeS;
		case 'middle-turned':
			return sections(resin, plan.section!, climate).gelFirstS;
		case 'drip-turned':
			return sections(resin, plan.section!, climate).gelLastS;
		case 'left-over-soft':
		case 'demould-soft':
		case 'demould-right':
		case 'demould-locked':
			return undefined;
	}
}

/**
 * What a maker's eye says of the batch's speed: each thing seen is a reading of ln(speed), as loose as an eye is, put
 * together with what was known before by their precisions (normal, closed form).
 * @param known ln(speed) against the plan's record and its standard deviation, by the thermometer; the sheet's without
 * @returns the same with what was seen; nothing where nothing was seen that tells a moment
 */
export function speedBySight(
	plan: PourPlan,
	resin: CureRecord,
	climate: Climate,
	seen: readonly SeenAt[],
	known: { lnSpeed: number; sd: number } = { lnSpeed: 0, sd: SPREADS.speed.by.share }
): { lnSpeed: number; sd: number } | undefined {
	if (!plan.section || plan.layers || plan.cups) return undefined;
	const firsts = new Map<Seen, number>();
	for (const { what, timeS } of seen)
		if (timeS > 0) firsts.set(what, Math.min(timeS, firsts.get(what) ?? Infinity));
	const told = [...firsts].flatMap(([what, timeS]) => {
		const sd = LOOSE[what];
		const byModel = sd === undefined ? undefined : expectedS(what, plan, resin, climate);
		if (byModel === undefined || sd === undefined) return [];
		const lnSpeed = Math.log(byModel / timeS);
		return Math.abs(lnSpeed) > Math.log(SLIP) ? [] : [{ lnSpeed, sd }];
	});
	if (told.length === 0) return undefined;
	const all = [known, ...told];
	const precision = all.reduce((sum, x) => sum + 1 / x.sd ** 2, 0);
	return {
		lnSpeed: all.reduce((sum, x) => sum + x.lnSpeed / x.sd ** 2, 0) / precision,
		sd: 1 / Math.sqrt(precision)
	};
}
