import { valueOf } from '../outcome';
import { outcomeOf } from '../outcomeOf';
import { calibrate } from '../cure/calibrate';
import type { CureRecord } from '../cure';
import { BAND_80 } from '../cure/spread';
import { cup } from '../cure/cup';
import { cupFit, type CupFitResult } from '../cure/cupFit';
import { solveLayered, type LayerRun } from '../cure/layered';
import { sections } from '../cure/sections';
import { WALLS } from '../cure/wall';
import { HOLD_MARGIN } from '../shot/kinds/solid/solid';
import { togetherPotLifeS } from '../shot/colours';
import { betweenCupsS, mixOneCupS } from '../plan/marks';
import { clockCups, resinIn, type ClockCup, type PourPlan } from '../plan/pourPlan';
import type { BenchForecast } from './corrected';
import type { CupTemp, PourState } from './reduce';
import { speedBySight, type SeenAt } from './seen';
import { isLeftToCool } from './steps/times';

/** A room that differs from the plan by less is taken as planned, °C. */
const SAME_ROOM_C = 0.5;

type Cup = ClockCup & { roomTempC: number };

/** A cup of this resin, as the cure engine is asked for it. */
const asked = (resin: CureRecord, { fillerMix, ...cup }: Cup) => ({
	resin: resinIn({ fillerMix }, resin),
	...cup
});

/**
 * Corrects a plan by what was read at the bench: the air and the mould before the pull, and a gun
 * thermometer on each cup while it is poured. Both schools, clock and temperature, on one conversion curve.
 * What one cup taught about the batch holds for the cups and layers that were not read.
 * Nothing when the plan has no cure record, or when nothing was read that differs from it.
 * @example
 * benchForecast(planOf(), { air: undefined, temps: [] }); // undefined
 */
export function benchForecast(
	plan: PourPlan,
	state: Pick<PourState, 'air' | 'temps'> &
		Partial<Pick<PourState, 'startC'>> & { readonly seen?: readonly SeenAt[] }
): BenchForecast | undefined {
	const { cure, section } = plan;
	if (!cure || !section) return undefined;
	const roomTempC = state.air?.roomTempC ?? plan.roomTempC;
	const mouldTempC = state.air?.mouldTempC ?? plan.mouldTempC;
	const moved =
		Math.abs(roomTempC - plan.roomTempC) >= SAME_ROOM_C ||
		Math.abs(mouldTempC - plan.mouldTempC) >= SAME_ROOM_C;
	const eyed = state.seen ?? [];
	const startC = state.startC ?? {};
	const begun = Object.keys(startC).length > 0;
	if (!moved && !begun && state.temps.length === 0 && eyed.length === 0) return undefined;
	// resin that was planned at room temperature stands in the room; one that was warmed or cooled does not
	const now = (plannedC: number) => (plannedC === plan.roomTempC ? roomTempC : plannedC);
	const startTempC = now(plan.startTempC);
	const cups: Cup[] = clockCups(plan).map(({ startTempC: plannedC, ...c }, i) => ({
		...c,
		startTempC: startC[i] ?? now(plannedC),
		roomTempC
	}));
	// readings that lead out of range leave the plan as it was
	return valueOf(
		outcomeOf((): BenchForecast | undefined => {
			const fits = cups.map((c, i) => fitOf(cure, c, state.temps, i));
			const climate = { startTempC, mouldTempC, roomTempC };
			const byGun = speedOf(fits, state.temps);
			const sight = speedBySight(plan, cure, climate, eyed, gunKnows(fits, byGun));
			const learnt = sight ? Math.exp(sight.lnSpeed) : byGun;
			if (learnt === undefined && !moved && !begun) return undefined;
			const rateFactor = Math.min(10, Math.max(0.1, (cure.rateFactor ?? 1) * (learnt ?? 1)));
			const resin = { ...cure, rateFactor };
			const lives = cups.map((c, i) => fits[i] ?? unread(cup(asked(resin, c)).potLifeS, fits));
			const potLifeS = plan.layers ? lives[0]!.potLifeS : together(plan, lives, (l) => l.potLifeS);
			const layers = plan.layers && layersNow(plan, resin, climate, lives);
			return {
				potLifeS,
				usableS: usableNow(plan, potLifeS, bandOf(plan, fits, lives)),
				...(layers ?? partNow(plan, resin, climate)),
				...(plan.cups ? { cups: cupsNow(plan, resin, cups, lives) } : {}),
				...bandOf(plan, fits, lives),
				...(learnt === undefined ? {} : { rateFactor: learnt })
			};
		})
	);
}

/** The life of a cup that nobody read, as sure as the one that was read last: they share the batch's speed. */
function unread(potLifeS: number, fits: readonly (CupFitResult | undefined)[]) {
	const last = fits.findLast((f) => f !== undefined);
	if (!last) return { potLifeS };
	const share = potLifeS / last.potLifeS;
	return { potLifeS, potLifeLowS: last.potLifeLowS * share, potLifeHighS: last.potLifeHighS * share };
}

/**
 * The time that may be used: with readings the earlier of margin and the low end that they leave; without, the share
 * that was planned.
 */
function usableNow(plan: PourPlan, potLifeS: number, band: Pick<BenchForecast, 'potLifeLowS'>): number {
	if (band.potLifeLowS === undefined || plan.layers || plan.marginPercent === undefined)
		return potLifeS * (plan.usableS / plan.potLifeS);
	return Math.min(potLifeS * (1 - plan.marginPercent / 100), band.potLifeLowS);
}

/** What the thermometer knows of the speed before anything was seen. */
function gunKnows(
	fits: readonly (CupFitResult | undefined)[],
	speed: number | undefined
): { lnSpeed: number; sd: number } | undefined {
	const last = fits.findLast((f) => f !== undefined);
	if (!last || speed === undefined) return undefined;
	return {
		lnSpeed: Math.log(speed),
		sd: Math.log(last.potLifeHighS / last.potLifeLowS) / (2 * BAND_80)
	};
}

/** What one cup's own readings say of it; nothing when it was not read. */
function fitOf(
	resin: CureRecord,
	of: Cup,
	temps: readonly CupTemp[],
	index: number
): CupFitResult | undefined {
	const readings = temps.filter((t) => t.cup === index).map(({ timeS, tempC }) => ({ timeS, tempC }));
	if (readings.length === 0) return undefined;
	const fit = cupFit({ ...asked(resin, of), readings });
	// what did not settle teaches nothing
	return fit.converged ? fit : undefined;
}

/** Speed of the batch by all cups that were read, each by the number of its readings; nothing without any. */
function speedOf(fits: readonly (CupFitResult | undefined)[], temps: readonly CupTemp[]): number | undefined {
	const lnRate = temps.flatMap((t) => (fits[t.cup] ? [Math.log(fits[t.cup]!.rateFactor)] : []));
	if (lnRate.length === 0) return undefined;
	return Math.exp(lnRate.reduce((sum, x) => sum + x, 0) / lnRate.length);
}

/** Of cups that are poured together the first that is too thick ends the pour. */
const together = <L>(plan: PourPlan, lives: readonly L[], of: (life: L) => number) =>
	togetherPotLifeS(
		lives.map((l) => ({ potLifeS: of(l) })),
		betweenCupsS(plan)
	);

/** The 80 % band of the pot life: of what is poured together of all cups, of layers of the last that was read. */
function bandOf(
	plan: PourPlan,
	fits: readonly (CupFitResult | undefined)[],
	lives: readonly { potLifeS: number; potLifeLowS?: number; potLifeHighS?: number }[]
): Pick<BenchForecast, 'potLifeLowS' | 'potLifeHighS' | 'rmsC'> {
	const last = fits.findLast((f) => f !== undefined);
	if (!last) return {};
	const { rmsC } = last;
	if (plan.layers) return { potLifeLowS: last.potLifeLowS, potLifeHighS: last.potLifeHighS, rmsC };
	return {
		potLifeLowS: together(plan, lives, (l) => l.potLifeLowS ?? l.potLifeS),
		potLifeHighS: together(plan, lives, (l) => l.potLifeHighS ?? l.potLifeS),
		rmsC
	};
}

/** Each cup of colours at the speed that was learnt: too thick, and warm enough to be poured beside the others. */
function cupsNow(
	plan: PourPlan,
	resin: CureRecord,
	cups: readonly Cup[],
	lives: readonly { potLifeS: number }[]
): { potLifeS: number; warmS?: number }[] {
	const { pourTempC } = plan;
	return cups.map((c, i) => {
		const { potLifeS } = lives[i]!;
		if (pourTempC === undefined) return { potLifeS };
		const warmS = cup({ ...asked(resin, c), pourTempC }).reachesPourTempS;
		return warmS === undefined ? { potLifeS } : { potLifeS, warmS };
	});
}

interface Climate {
	startTempC: number;
	mouldTempC: number;
	roomTempC: number;
}

/** When it comes out: while it still gives, or once it is firm; not before the pressure may be let out. */
function outNow(
	plan: PourPlan,
	firm: { demouldS: number; flexibleS: number },
	heldS: number
): Pick<BenchForecast, 'demouldS' | 'stiffS'> {
	const least = plan.pot ? heldS : 0;
	if (!plan.out) return { demouldS: Math.max(firm.demouldS, least) };
	return { demouldS: Math.max(firm.flexibleS, least), stiffS: firm.demouldS };
}

function partNow(
	plan: PourPlan,
	resin: CureRecord,
	climate: Climate
): Pick<BenchForecast, 'holdUntilS' | 'demouldS' | 'flexibleS' | 'stiffS'> {
	const firm = sections(resin, plan.section!, climate);
	const gelS = firm.gelLastS;
	return {
		holdUntilS: gelS * (1 + HOLD_MARGIN),
		...(plan.flexibleS === undefined ? {} : { flexibleS: firm.flexibleS }),
		...outNow(plan, firm, gelS * (1 + HOLD_MARGIN))
	};
}

/**
 * The layers' clocks as they were planned, each stretched by what the same stack takes now against then: the
 * conduction model is run once for the plan's resin and room, once for those at the bench.
 */
function layersNow(
	plan: PourPlan,
	resin: CureRecord,
	climate: Climate,
	lives: readonly { potLifeS: number }[]
): Pick<BenchForecast, 'holdUntilS' | 'demouldS' | 'flexibleS' | 'stiffS' | 'layers'> {
	const layers = plan.layers!;
	const stack = (record: CureRecord, at: Climate) => {
		const model = calibrate(record);
		return solveLayered(model, {
			layersMm: layers.map((l) => l.thicknessMm),
			fillerMix: clockCups(plan).map((c) => c.fillerMix),
			mouldWallMm: plan.section!.mouldWallMm,
			wall: WALLS[plan.section!.wall ?? 'silicone'],
			...at,
			mixS: mixOneCupS(plan) ?? 45,
			nextAt: model.gelConversion,
			recoatUntil: Math.max(record.recoatConversion ?? 0, model.gelConversion + 0.01)
		});
	};
	const { startTempC, mouldTempC, roomTempC } = plan;
	const then = stack(plan.cure!, { startTempC, mouldTempC, roomTempC });
	const fresh = stack(resin, climate);
	const times = (a: number, b: number) => (Number.isFinite(a / b) && b > 0 ? a / b : 1);
	const since = (l: LayerRun, of: 'gelFirstS' | 'gelLastS') => l[of] - l.startS;
	const gel = (i: number) => times(since(fresh.layers[i]!, 'gelLastS'), since(then.layers[i]!, 'gelLastS'));
	return {
		layers: layers.map((l, i) => {
			const [a, b] = [fresh.layers[i]!, then.layers[i]!];
			// what is left to cool waits for its heat to go, which no reading of a cup foretells
			const cools = isLeftToCool(l);
			const bonds = cools ? 1 : gel(i);
			return {
				potLifeS: lives[i]?.potLifeS ?? l.potLifeS,
				lockS: l.lockS * times(since(a, 'gelFirstS'), since(b, 'gelFirstS')),
				gelS: cools ? l.gelS : l.gelS * gel(i),
				recoatFromS: l.recoatFromS * bonds,
				recoatUntilS: l.recoatUntilS * bonds
			};
		}),
		holdUntilS: plan.holdUntilS * gel(layers.length - 1),
		demouldS:
			plan.demouldS *
			(plan.out ? times(fresh.flexibleS, then.flexibleS) : times(fresh.demouldS, then.demouldS)),
		...(plan.out ? { stiffS: plan.out.stiffS * times(fresh.demouldS, then.demouldS) } : {}),
		...(plan.flexibleS === undefined
			? {}
			: { flexibleS: plan.flexibleS * times(fresh.flexibleS, then.flexibleS) })
	};
}
