import { glassTransitionC } from './glass';
import { arrhenius } from './kinetics';
import type { CureModel } from './model';

/** How far a part has come towards being taken out. */
interface Ripeness {
	/** Seconds at 23 °C and the sheet's speed since the slowest place gelled. */
	maturedS: number;
	/** Share of the section's bending stiffness that lies below its glass transition, 0…1. */
	stiffShare: number;
}

type Ripens = Pick<
	CureModel,
	'kinetics' | 'gelConversion' | 'speed' | 'maturityActivationJPerMol' | 'glassShiftK'
>;

/**
 * Moves the clock of each place on: from its own gel it runs at an Arrhenius pace of its own, times the speed of this
 * batch.
 * @param tempBefore and before: temperatures and conversions at the start of the step
 * @returns the count of the slowest place, s; nothing before it has gelled
 */
export function ripen(
	model: Ripens,
	clockS: Float64Array,
	tempBefore: ArrayLike<number>,
	temp: ArrayLike<number>,
	before: ArrayLike<number>,
	conversion: ArrayLike<number>,
	dtS: number
): number {
	const { gelConversion, speed, maturityActivationJPerMol } = model;
	let least = Infinity;
	for (let i = 0; i < clockS.length; i++) {
		if (conversion[i]! >= gelConversion) {
			const [from, to] = [before[i]!, conversion[i]!];
			const share = from >= gelConversion ? 1 : (to - gelConversion) / (to - from);
			clockS[i] =
				clockS[i]! +
				dtS * share * speed * arrhenius(maturityActivationJPerMol, (tempBefore[i]! + temp[i]!) / 2);
		}
		if (clockS[i]! < least) least = clockS[i]!;
	}
	return least;
}

/**
 * How far a place stands above the temperature at which it turns stiff, K. What the sheet's own case asks to be raised
 * is raised at the fresh end: wholly cured, the resin softens where it does.
 */
export function aboveGlassK(model: Ripens, tempC: number, conversion: number): number {
	const { glass } = model.kinetics;
	if (!glass) return -Infinity;
	const tg = glassTransitionC(glass, conversion);
	const formed = (tg - glass.freshC) / (glass.curedC - glass.freshC);
	return tempC - tg - model.glassShiftK * (1 - formed);
}

/** Share of the way from a to b that lies below nothing. */
function belowZero(a: number, b: number): number {
	if (a <= 0 && b <= 0) return 1;
	if (a > 0 && b > 0) return 0;
	return Math.abs(Math.min(a, b)) / (Math.abs(a) + Math.abs(b));
}

/**
 * How much of the section is stiff. Between the middles of neighbouring cells the temperature above glass goes by a
 * straight line, so that a part stiffens steadily and not cell by cell.
 * @returns share of the bending stiffness below its glass transition, 0…1
 */
export function stiffShare(
	model: Ripens,
	weights: ArrayLike<number>,
	temp: ArrayLike<number>,
	conversion: ArrayLike<number>
): number {
	const count = weights.length;
	if (count === 0) return 0;
	let share = 0;
	let here = aboveGlassK(model, temp[0]!, conversion[0]!);
	let inner = here;
	for (let i = 0; i < count; i++) {
		const next = i + 1 < count ? aboveGlassK(model, temp[i + 1]!, conversion[i + 1]!) : here;
		const outer = (here + next) / 2;
		share += (weights[i]! * (belowZero(inner, here) + belowZero(here, outer))) / 2;
		[inner, here] = [outer, next];
	}
	return share;
}

/** When a part may leave its mould, s, each with its hottest place then, °C. Infinity: not yet. */
export interface Ready {
	/** From then on it may be bent out over keys or laid over a curve, until it is demoulded. */
	flexibleS: number;
	hottestAtFlexibleC: number;
	/** When its slowest place has had its time. */
	maturedS: number;
	hottestAtMaturedC: number;
	/** Matured, while the middle is still above its glass transition. */
	softCoreAtMatured: boolean;
	/** When both hold: matured, and half of its bending stiffness below the glass transition. */
	demouldS: number;
	hottestAtDemouldC: number;
	/** What it waited for last. */
	waitedFor: 'time' | 'stiffness';
}
export const notReady = (): Ready => ({
	flexibleS: Infinity,
	hottestAtFlexibleC: NaN,
	maturedS: Infinity,
	hottestAtMaturedC: NaN,
	softCoreAtMatured: false,
	demouldS: Infinity,
	hottestAtDemouldC: NaN,
	waitedFor: 'time'
});

/** What is known of readiness out of a run that knows more. */
export const readyOf = (r: Ready): Ready => ({
	flexibleS: r.flexibleS,
	hottestAtFlexibleC: r.hottestAtFlexibleC,
	maturedS: r.maturedS,
	hottestAtMaturedC: r.hottestAtMaturedC,
	softCoreAtMatured: r.softCoreAtMatured,
	demouldS: r.demouldS,
	hottestAtDemouldC: r.hottestAtDemouldC,
	waitedFor: r.waitedFor
});

/** A part at the end of a step. */
interface RipeNow extends Ripeness {
	timeS: number;
	/** Every place of it has gelled. */
	gelled: boolean;
	hottestC: number;
	middleAboveGlassK: number;
}

/** Moments before which a place is not called matured or ready, s: it waits for another, or for the resin's own cup. */
export interface NotBefore {
	maturedS?: number | undefined;
	demouldS?: number | undefined;
}

/** Notes in place what came true in a step, at its moment within the step. */
export function noteReady(
	ready: Ready,
	model: Pick<CureModel, 'maturityS' | 'flexibleShare'>,
	before: Pick<RipeNow, 'timeS' | 'maturedS' | 'stiffShare'>,
	now: RipeNow,
	notBefore: NotBefore = {}
): void {
	if (!now.gelled) return;
	const cross = (level: number, from: number, to: number) =>
		to > from
			? before.timeS + ((now.timeS - before.timeS) * Math.max(0, level - from)) / (to - from)
			: now.timeS;
	const flexibleAt = model.flexibleShare * model.maturityS;
	if (ready.flexibleS === Infinity && now.maturedS >= flexibleAt) {
		ready.flexibleS = cross(flexibleAt, before.maturedS, now.maturedS);
		ready.hottestAtFlexibleC = now.hottestC;
	}
	const { maturedS: earliestS = 0, demouldS: notBeforeS = 0 } = notBefore;
	if (ready.maturedS === Infinity && now.maturedS >= model.maturityS && now.timeS >= earliestS) {
		ready.maturedS = Math.max(earliestS, cross(model.maturityS, before.maturedS, now.maturedS));
		ready.hottestAtMaturedC = now.hottestC;
		ready.softCoreAtMatured = now.middleAboveGlassK > 0;
	}
	if (
		ready.demouldS === Infinity &&
		ready.maturedS < Infinity &&
		now.stiffShare >= 0.5 &&
		now.timeS >= notBeforeS
	) {
		const stiffS = before.stiffShare < 0.5 ? cross(0.5, before.stiffShare, now.stiffShare) : -Infinity;
		ready.demouldS = Math.max(ready.maturedS, stiffS, notBeforeS);
		ready.waitedFor = stiffS > ready.maturedS ? 'stiffness' : 'time';
		ready.hottestAtDemouldC = now.hottestC;
	}
}
