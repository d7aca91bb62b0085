import { digits, formatTime } from '../units';
import type { Warning } from '../working';
import type { PourPlan } from '../plan/pourPlan';
import type { PourState } from './reduce';
import { isCastablePlan } from './castablePlan';
import { stepName, type BenchStep } from './steps';

/** Hotter than this, a cup is running away: it smokes or melts soon, °C (common practice, no source). */
const RUNAWAY_C = 80;

/**
 * What the clock says while resin is liquid, as long as it is still of use: too late for the pot, too late for
 * every mould, past its pot life, running away. Nothing while all is well.
 * @param elapsedS since this cup was combined; nothing before that
 * @param sincePourS since the layer below was poured
 * @example
 * const steps = benchSteps(planOf());
 * lateAdvice(
 *   planOf(),
 *   steps,
 *   reducePour(
 *     steps,
 *     doneAt({
 *       look: -60,
 *       air: -50,
 *       shake: -40,
 *       'measure-b': -30,
 *       'measure-a': -20,
 *       combine: 0,
 *       'timed-0': 200
 *     })
 *   ),
 *   200
 * )?.code; // 'past-pot-life'
 */
export function lateAdvice(
	plan: PourPlan,
	steps: readonly BenchStep[],
	state: Pick<PourState, 'current' | 'temps' | 'pouredAtMs'>,
	elapsedS: number | undefined,
	sincePourS?: number
): Warning | undefined {
	const step = steps[state.current];
	// the cup of a layer that is laid already troubles nobody
	const here = state.temps.filter((t) => step?.layer === undefined || t.cup === step.layer);
	const hottest = Math.max(-Infinity, ...here.map((t) => t.tempC));
	if (hottest >= RUNAWAY_C) {
		return {
			code: 'runaway',
			severity: 'harm',
			message: `The cup is at ${digits(hottest, 0)} °C and running away.`,
			action: 'Do not pour it. Spread it thin on a tray or foil, outdoors if it smokes, never a lid on it.'
		};
	}
	const below =
		step?.layer !== undefined
			? plan.layers?.[stepName(step.id) === 'gelled' ? step.layer : step.layer - 1]
			: undefined;
	if (below && sincePourS !== undefined && sincePourS > below.recoatUntilS && step?.kind !== 'timed') {
		return {
			code: 'recoat-late',
			message: `The layer below was poured ${formatTime(sincePourS)} ago and bonds until ${formatTime(below.recoatUntilS)}: a new one may peel off.`,
			action: 'Roughen it and wipe off the dust before you go on, or leave the wall as it is.'
		};
	}
	if (elapsedS === undefined) return undefined;
	if (!step || (step.kind !== 'timed' && step.kind !== 'pump')) return undefined;
	const layer = step.layer ?? 0;
	const potLifeS = layer > 0 ? plan.layers![layer]!.potLifeS : plan.potLifeS;
	const leftS = potLifeS - elapsedS;
	const poured = state.pouredAtMs !== undefined;
	if (leftS <= 0 && !poured && isCastablePlan(plan)) {
		return {
			code: 'past-pot-life',
			severity: 'harm',
			message: 'By its record it no longer pours.',
			action: plan.melt
				? 'Warm it in its bath again and begin anew; what is in the mould comes out and is melted, too.'
				: 'Stop pouring, and never thin it with water: it would stay weak. Clear the mould while it still comes out.'
		};
	}
	if (leftS <= 0 && !poured) {
		return {
			code: 'past-pot-life',
			severity: 'harm',
			message: 'It is past its pot life: it tears and traps air instead of flowing.',
			action:
				'Stop pouring. Spread what is left thin; a mould that is half full is emptied now, while it still comes out.'
		};
	}
	if (plan.layers || plan.cups) return undefined;
	const ahead = plan.steps.slice(
		plan.steps.length -
			steps.slice(state.current).filter((s) => s.kind === 'timed' || s.kind === 'pump').length
	);
	const needS = (roles: readonly string[]) =>
		ahead.filter((s) => roles.includes(s.role)).reduce((sum, s) => sum + s.durationS, 0);
	const forAll = ahead.reduce((sum, s) => sum + s.durationS, 0);
	if (plan.pot && forAll > leftS && ahead.some((s) => s.role === 'load' || s.role === 'pump')) {
		return {
			code: 'too-late-for-the-pot',
			message: `Loading and pumping up take ${formatTime(needS(['load', 'pump']))}, and it is too thick in ${formatTime(Math.max(0, leftS))}: too late for the pot.`,
			action: poured
				? 'Leave it at the room’s pressure and tap it: pressure on gelling resin keeps bubbles half shrunk.'
				: 'Pour it all the same, tap it, and leave it at the room’s pressure.'
		};
	}
	if (!poured && needS(['mix', 'vacuum', 'brush', 'pour']) > leftS && plan.moulds.length > 1) {
		return {
			code: 'too-late-for-all',
			message: `It is too thick in ${formatTime(Math.max(0, leftS))}: not every mould is filled by then.`,
			action: 'Fill whole moulds, the finest first, and leave the others empty.'
		};
	}
	return undefined;
}
