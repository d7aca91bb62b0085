import { sections } from '../cure/sections';
import type { Evidence } from '../faults/evidence';
import { valueOf } from '../outcome';
import { outcomeOf } from '../outcomeOf';
import { dewPointC } from '../humidity/dewPoint';
import { HOLD_MARGIN } from '../shot/kinds/solid/solid';
import { type PourPlan } from '../plan/pourPlan';
import { mixOneCupS } from '../plan/marks';
import { ratioNow } from './ratio';
import type { PourState } from './reduce';
import { layerStep } from './steps';
import { stepsOf } from './steps/kept';

/**
 * Peak in the middle of the part and at the mould's face by the part model, °C; nothing without a cure record.
 * @example
 * partHeat(planOf()); // undefined
 */
export function partHeat(
	plan: Pick<PourPlan, 'cure' | 'section' | 'startTempC' | 'mouldTempC' | 'roomTempC'>
): { peakC: number; faceC: number } | undefined {
	const { cure, section, startTempC, mouldTempC, roomTempC } = plan;
	if (!cure || !section) return undefined;
	// a plan out of the engine's range has no heat to speak of
	const p = valueOf(outcomeOf(() => sections(cure, section, { startTempC, mouldTempC, roomTempC })));
	return p && { peakC: p.peakTempC, faceC: p.peakMouldFaceC };
}

const known = <K extends string, V>(key: K, value: V | undefined) =>
	(value === undefined ? {} : { [key]: value }) as { [P in K]?: V };

/**
 * What the log of a pour holds for or against the causes of its faults.
 * @param about what other books say: the tin, the mould's pulls and wear
 * @example
 * evidenceOf(planOf(), reducePour([], []), { mouldPulls: 12 }).mouldPulls; // 12
 */
export function evidenceOf(
	plan: PourPlan,
	state: PourState,
	about: Pick<Evidence, 'tinDays' | 'tinOpenings' | 'mouldPulls' | 'mouldWear'> = {}
): Evidence {
	const steps = stepsOf(plan);
	// air that nobody read counts for nothing and against nothing
	const { air } = state;
	const combined = state.combinedAtMs;
	const since = (atMs: number | undefined) =>
		atMs === undefined || combined === undefined ? undefined : (atMs - combined) / 1000;
	const done = (test: (s: (typeof steps)[number]) => boolean) => {
		const step = steps.find(test);
		return step && state.doneAtMs[step.id];
	};
	const mixPlannedS = mixOneCupS(plan);
	// of several cups the one that is off the furthest
	const ratios = steps
		.filter((s) => s.kind === 'combine')
		.flatMap((s) => ratioNow(plan, s, state)?.errorPercent ?? [])
		.filter(Number.isFinite)
		.sort((x, y) => Math.abs(y) - Math.abs(x));
	const coat = state.doneAtMs['coat'];
	const dry = state.doneAtMs['flash-off'];
	const flashOffS = plan.release?.flashOffS;
	const gelS = plan.holdUntilS / (1 + HOLD_MARGIN);
	const heldS =
		state.pouredAtMs !== undefined && state.doneAtMs['release'] !== undefined
			? (state.doneAtMs['release'] - state.pouredAtMs) / 1000
			: undefined;
	const outS =
		state.demouldedAtMs !== undefined && state.pouredAtMs !== undefined
			? (state.demouldedAtMs - state.pouredAtMs) / 1000
			: undefined;
	const lateLayers = (plan.layers ?? []).slice(1).flatMap((_, i) => {
		const [below, above] = [i, i + 1].map((n) => state.doneAtMs[layerStep('pour', n)]);
		return below === undefined || above === undefined
			? []
			: [(above - below) / 1000 - plan.layers![i]!.recoatUntilS];
	});
	return {
		chemistry: plan.chemistry,
		...known('stopHumidityPercent', plan.stopHumidityPercent),
		...(air
			? {
					relativeHumidity: air.relativeHumidity,
					dewMarginC:
						air.mouldTempC - dewPointC({ tempC: air.roomTempC, relativeHumidity: air.relativeHumidity }),
					roomTempC: air.roomTempC,
					mouldTempC: air.mouldTempC
				}
			: {}),
		...about,
		...known('ratioErrorPercent', ratios[0]),
		...known('ratioTolerancePercent', plan.tolerancePercent),
		...known('mixS', since(done((s) => s.role === 'mix'))),
		...known('mixPlannedS', mixPlannedS),
		...(combined === undefined ? {} : { stirred: state.doneAtMs['shake'] !== undefined }),
		...known('pouredS', plan.layers ? undefined : since(state.pouredAtMs)),
		potLifeS: plan.potLifeS,
		pot: plan.pot !== undefined,
		...known('reachedS', since(state.reached?.atMs)),
		...known(
			'lowestShare',
			plan.pot && state.lowestGaugeKpa !== undefined
				? state.lowestGaugeKpa / plan.pot.targetGaugeKpa
				: undefined
		),
		...known('releasedEarlyS', heldS === undefined ? undefined : gelS - heldS),
		...known('demouldEarlyShare', outS === undefined ? undefined : 1 - outS / plan.demouldS),
		...known(
			'coatDryShare',
			flashOffS && coat !== undefined && dry !== undefined ? (dry - coat) / 1000 / flashOffS : undefined
		),
		...(combined === undefined ? {} : { looked: state.doneAtMs['look'] !== undefined }),
		...(combined === undefined || !plan.closing ? {} : { closed: state.doneAtMs['seat'] !== undefined }),
		...known('catalystRatio', catalystRatio(plan)),
		...known('peakC', partHeat(plan)?.peakC),
		...known('traps', plan.traps),
		...(plan.layers ? { layers: plan.layers.filter((l) => (l.way ?? 'roll') === 'roll').length } : {}),
		...known('layerLateS', lateLayers.length ? Math.max(...lateLayers) : undefined)
	};
}

function catalystRatio({ cure }: PourPlan): number | undefined {
	const c = cure?.catalyst;
	return c ? c.percent / c.referencePercent : undefined;
}
