import { fieldErrors } from '../fieldErrors';
import { cup } from '../cure/cup';
import { cupFit } from '../cure/cupFit';
import { part } from '../cure/part';
import { HOLD_MARGIN } from '../shot/solid';
import { togetherPotLifeS } from '../shot/colours';
import { clockCups, mixOneCupS, type PourPlan } from './plan';
import type { PourState } from './reduce';

/** A room that differs from the plan by less is taken as planned, °C. */
const SAME_ROOM_C = 0.5;

/** The forecast of a running pour as the bench knows it by now. */
export interface BenchForecast {
	potLifeS: number;
	/** Pot life less the plan's margin. */
	usableS: number;
	/** 80 % band of the pot life; only with readings. */
	potLifeLowS?: number;
	potLifeHighS?: number;
	holdUntilS: number;
	demouldS: number;
	/** Speed of this batch against what the plan took for it; only with readings. */
	rateFactor?: number;
	rmsC?: number;
}

/**
 * Corrects a plan by what was read at the bench: the air and the mould before the pull, and a gun
 * thermometer on the cup while it is poured. Both schools, clock and temperature, on one conversion curve.
 * Nothing when the plan has no cure record, or when nothing was read that differs from it.
 */
export function benchForecast(
	plan: PourPlan,
	state: Pick<PourState, 'air' | 'temps'>
): BenchForecast | undefined {
	const { cure, section } = plan;
	if (!cure || !section) return undefined;
	const roomTempC = state.air?.roomTempC ?? plan.roomTempC;
	const mouldTempC = state.air?.mouldTempC ?? plan.mouldTempC;
	const moved =
		Math.abs(roomTempC - plan.roomTempC) >= SAME_ROOM_C ||
		Math.abs(mouldTempC - plan.mouldTempC) >= SAME_ROOM_C;
	if (!moved && state.temps.length === 0) return undefined;
	// resin that was planned at room temperature stands in the room; one that was warmed or cooled does not
	const now = (plannedC: number) => (plannedC === plan.roomTempC ? roomTempC : plannedC);
	const startTempC = now(plan.startTempC);
	const cups = clockCups(plan).map(({ resinG, startTempC: plannedC }) => ({
		massG: resinG,
		startTempC: now(plannedC),
		roomTempC
	}));
	try {
		// of several cups the first stands longest, and is the one that is read
		const fit =
			state.temps.length > 0 ? cupFit({ resin: cure, ...cups[0]!, readings: [...state.temps] }) : undefined;
		const rateFactor = Math.min(10, Math.max(0.1, (cure.rateFactor ?? 1) * (fit?.rateFactor ?? 1)));
		const potLifeS = togetherPotLifeS(
			cups.map((c, i) =>
				i === 0 && fit ? fit : { potLifeS: cup({ resin: { ...cure, rateFactor }, ...c }).potLifeS }
			),
			mixOneCupS(plan) ?? 0
		);
		const firm = part({ resin: { ...cure, rateFactor }, ...section, startTempC, mouldTempC, roomTempC });
		return {
			potLifeS,
			usableS: potLifeS * (plan.usableS / plan.potLifeS),
			holdUntilS: Math.max(firm.gelCoreS, firm.gelWallS) * (1 + HOLD_MARGIN),
			demouldS: firm.demouldS,
			...(fit
				? {
						potLifeLowS: fit.potLifeLowS,
						potLifeHighS: fit.potLifeHighS,
						rateFactor: fit.rateFactor,
						rmsC: fit.rmsC
					}
				: {})
		};
	} catch (error) {
		// readings that lead out of range leave the plan as it was
		if (fieldErrors(error)) return undefined;
		throw error;
	}
}

/** The plan with its times corrected; as it was when nothing corrects it. */
export function correctedPlan(plan: PourPlan, forecast: BenchForecast | undefined): PourPlan {
	if (!forecast) return plan;
	const { potLifeS, usableS, holdUntilS, demouldS } = forecast;
	// layers have clocks of their own, which the part model of one section does not know
	if (plan.layers) return { ...plan, potLifeS, usableS };
	return { ...plan, potLifeS, usableS, holdUntilS, demouldS };
}
