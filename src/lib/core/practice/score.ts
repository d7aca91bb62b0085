import type { DeviceCommand } from '../devices/reading';
import { potGaugeKpa, type SimulatedShop } from '../devices/simulated';
import { dewPointC, FACE_MARGIN_C } from '../humidity/dewPoint';
import type { Grade } from '../bench/grades';
import type { FAULTS } from '../faults/faults';
import type { PourPlan } from '../plan/pourPlan';
import { ratioNow } from '../bench/ratio';
import type { PourState } from '../bench/reduce';
import type { BenchStep } from '../bench/steps';
import { digits, formatTime } from '../units';
import type { GroundTruth } from './groundTruth';

type Fault = (typeof FAULTS)[number];

export interface PracticeMark {
	what: 'Time' | 'Ratio' | 'Outcome';
	points: number;
	of: number;
	/** Why, with the figures. */
	words: string;
}
export interface PracticeScore {
	marks: PracticeMark[];
	points: number;
	/** What would have come out of the mould. */
	grade: Grade;
	faults: { fault: Fault; because: string }[];
}

/** What each counts for (a default of ours). */
const OF = { Time: 40, Ratio: 30, Outcome: 30 } as const;
/** Under this share of its target the pot no longer holds bubbles small. */
const HELD_SHARE = 0.85;
const SCRAP: readonly Fault[] = ['short-shot', 'soft', 'foam'];

const clamp = (x: number) => Math.min(1, Math.max(0, x));

interface Asked {
	plan: PourPlan;
	steps: readonly BenchStep[];
	state: PourState;
	truth: GroundTruth;
	shop: SimulatedShop;
	commands: readonly DeviceCommand[];
}

/** All of it while the resin can be used, none at the end of its life, in between by the clock. */
function timeMark({ state, truth }: Asked): PracticeMark {
	const of = OF.Time;
	if (state.combinedAtMs === undefined || state.settledAtMs === undefined)
		return { what: 'Time', points: 0, of, words: 'Resin was combined and never used.' };
	const s = (state.settledAtMs - state.combinedAtMs) / 1000;
	const share = clamp((truth.potLifeS - s) / Math.max(1, truth.potLifeS - truth.usableS));
	return {
		what: 'Time',
		points: Math.round(of * share),
		of,
		words: `Done ${formatTime(s)} after combining; it poured for ${formatTime(truth.potLifeS)}, with the margin ${formatTime(truth.usableS)}.`
	};
}

/** The worst cup's ratio; a cup that was never weighed counts half, since nobody knows. */
function ratioMark({ plan, steps, state }: Asked): PracticeMark & { worst?: number } {
	const of = OF.Ratio;
	const cups = steps.filter((s) => s.kind === 'combine');
	const found = cups.map((step) => ratioNow(plan, step, state));
	if (!(plan.b.massG > 0))
		return { what: 'Ratio', points: of, of, words: 'Catalysed by share: there is no B to be off.' };
	const known = found.flatMap((r) => (r ? [r] : []));
	if (known.length < cups.length)
		return { what: 'Ratio', points: of / 2, of, words: 'A cup was not weighed, so its ratio is not known.' };
	const worst = known.reduce((a, b) => (Math.abs(b.errorPercent) > Math.abs(a.errorPercent) ? b : a));
	const error = Math.abs(worst.errorPercent);
	const half = worst.tolerancePercent / 2;
	return {
		what: 'Ratio',
		points: Math.round(of * clamp(1 - (error - half) / (3 * half))),
		of,
		words: `Off by ${digits(error, 2)} %; ${digits(worst.tolerancePercent, 1)} % is allowed.`,
		worst: worst.within ? 0 : worst.errorPercent
	};
}

/** The lowest that the pot really stood at while the part was not gelled, kPa. */
function lowestKpa({ plan, steps, state, shop, commands, truth }: Asked): number {
	const pump = steps.find((s) => s.kind === 'pump');
	const fromMs = pump && state.doneAtMs[pump.id];
	if (!plan.pot || fromMs === undefined || state.pouredAtMs === undefined) return 0;
	const untilMs = Math.min(state.pouredAtMs + truth.gelS * 1000, state.doneAtMs['release'] ?? Infinity);
	let lowest = Infinity;
	for (let i = 0; i <= 60; i++)
		lowest = Math.min(lowest, potGaugeKpa(shop, commands, fromMs + ((untilMs - fromMs) * i) / 60 - 1));
	return lowest;
}

function potFaults(asked: Asked): PracticeScore['faults'] {
	const { plan, state, truth } = asked;
	if (!plan.pot || state.combinedAtMs === undefined || state.pouredAtMs === undefined) return [];
	const inside = (because: string) => [{ fault: 'inner-bubbles' as const, because }];
	const reachedS = state.reached && (state.reached.atMs - state.combinedAtMs) / 1000;
	if (reachedS === undefined || reachedS > truth.potLifeS)
		return inside('The pot came to pressure after the resin had thickened.');
	const releasedS = state.doneAtMs['release'] && (state.doneAtMs['release'] - state.pouredAtMs) / 1000;
	if (releasedS !== undefined && releasedS < truth.gelS)
		return inside(
			`Released ${formatTime(truth.gelS - releasedS)} before it had gelled: the bubbles grew back.`
		);
	const lowest = lowestKpa(asked);
	if (lowest < HELD_SHARE * plan.pot.targetGaugeKpa)
		return inside(
			`The pot fell to ${digits(lowest)} kPa of ${digits(plan.pot.targetGaugeKpa)} before it had gelled.`
		);
	return [];
}

/** What would have come out of the mould, by the models and the simulated shop. */
function foretell(asked: Asked, ratioOff: number): PracticeScore['faults'] {
	const { state, truth, shop } = asked;
	const faults: PracticeScore['faults'] = [];
	const combined = state.combinedAtMs!;
	const dew = dewPointC({ tempC: shop.roomTempC, relativeHumidity: shop.relativeHumidity });
	if (shop.mouldTempC < dew + FACE_MARGIN_C)
		faults.push({
			fault: 'foam',
			because: `The mould stood at ${digits(shop.mouldTempC)} °C, the dew point at ${digits(dew)} °C.`
		});
	const pouredS = state.pouredAtMs === undefined ? Infinity : (state.pouredAtMs - combined) / 1000;
	if (pouredS > truth.potLifeS)
		faults.push({ fault: 'short-shot', because: 'It was poured past its pot life.' });
	if (ratioOff !== 0)
		faults.push({
			fault: 'soft',
			because: `The ratio was off by ${digits(Math.abs(ratioOff), 1)} %.`
		});
	faults.push(...potFaults(asked));
	if (state.demouldedAtMs !== undefined && state.pouredAtMs !== undefined) {
		const s = (state.demouldedAtMs - state.pouredAtMs) / 1000;
		if (s < truth.demouldS)
			faults.push({
				fault: 'warp',
				because: `Out of the mould ${formatTime(truth.demouldS - s)} before it was firm.`
			});
	}
	return faults;
}

/** Given up before anything was combined: right when the air was too damp, otherwise nothing to score. */
function givenUp({ shop, state }: Asked): PracticeScore | undefined {
	if (state.status !== 'abandoned' || state.combinedAtMs !== undefined) return undefined;
	const dew = dewPointC({ tempC: shop.roomTempC, relativeHumidity: shop.relativeHumidity });
	const right = shop.mouldTempC < dew + FACE_MARGIN_C;
	const words = right
		? `Right: the mould was within ${FACE_MARGIN_C} °C of the dew point, and no resin is spent.`
		: 'No resin was spent, and nothing was wrong with the air.';
	const share = right ? 1 : 0;
	return {
		marks: (['Time', 'Ratio', 'Outcome'] as const).map((what) => ({
			what,
			points: OF[what] * share,
			of: OF[what],
			words
		})),
		points: 100 * share,
		grade: right ? 'good' : 'scrap',
		faults: []
	};
}

/**
 * Points for time, ratio and outcome of a practice pour that is over, out of 100.
 * @example
 * const plan = lessonPlan(WORKSHOP_DEFAULTS);
 * const steps = benchSteps(plan);
 * practiceScore({
 *   plan,
 *   steps,
 *   state: reducePour(steps, []),
 *   truth: groundTruth(plan, {}),
 *   shop: simulatedShop(plan, { seed: 7, scaleResolutionG: 0.1 }),
 *   commands: []
 * }).grade; // 'scrap'
 */
export function practiceScore(asked: Asked): PracticeScore {
	const early = givenUp(asked);
	if (early) return early;
	const time = timeMark(asked);
	const { worst = 0, ...ratio } = ratioMark(asked);
	const faults =
		asked.state.combinedAtMs === undefined || asked.state.status === 'abandoned'
			? [{ fault: 'short-shot' as const, because: 'The pour was given up.' }]
			: foretell(asked, worst);
	const grade: Grade =
		faults.length === 0 ? 'good' : faults.some((f) => SCRAP.includes(f.fault)) ? 'scrap' : 'needs-work';
	const outcome: PracticeMark = {
		what: 'Outcome',
		points: grade === 'good' ? OF.Outcome : grade === 'needs-work' ? OF.Outcome / 2 : 0,
		of: OF.Outcome,
		words: faults.length ? faults.map((f) => f.because).join(' ') : 'Nothing went wrong in the mould.'
	};
	const marks = [time, ratio, outcome];
	return { marks, points: marks.reduce((sum, m) => sum + m.points, 0), grade, faults };
}
