import type { PourState } from './reduce';
import type { Clock } from './clock';
import { cupStep, layerStep, stepName, type StepName } from './steps';
import type { PlanWithSteps } from './steps/kept';
import { nextCupS, retimed } from './steps/times';

/**
 * The clocks that a pour keeps running, worked out from its plan and state.
 * @example
 * clocksOf(
 *   'p',
 *   withSteps(planOf()),
 *   reducePour(
 *     benchSteps(planOf()),
 *     doneAt({ combine: 0, 'timed-0': 40, 'timed-1': 60, 'timed-2': 80, 'timed-3': 92 })
 *   )
 * ).map((c) => c.kind); // ['hold', 'cure']
 */
export function clocksOf(pourId: string, plan: PlanWithSteps, state: PourState): Clock[] {
	if (state.status !== 'open') return [];
	const label = `${plan.masterName} · ${plan.moulds.map((m) => `M${m.number}`).join(' ')}`;
	const common = { label, href: `/pour/${pourId}` };
	if (state.combinedAtMs === undefined) return waitClock(pourId, plan, state, common);
	if (plan.layers && state.settledAtMs === undefined) return layerClocks(pourId, plan, state, common);
	if (state.pouredAtMs === undefined || state.settledAtMs === undefined) {
		return [
			{
				...common,
				id: `${pourId}-pot-life`,
				kind: 'pot-life',
				startedAtMs: state.combinedAtMs,
				endsAtMs: state.combinedAtMs + plan.potLifeS * 1000,
				then: plan.melt ? 'too cool to pour' : 'too thick to pour'
			}
		];
	}
	const clocks: Clock[] = [];
	const heldOrNoPot = !plan.pot || state.doneAtMs['release'] !== undefined;
	if (!heldOrNoPot) {
		clocks.push({
			...common,
			id: `${pourId}-hold`,
			kind: 'hold',
			startedAtMs: state.pouredAtMs,
			endsAtMs: state.pouredAtMs + plan.holdUntilS * 1000,
			then: 'release the pressure'
		});
	}
	if (state.demouldedAtMs === undefined && heldOrNoPot && plan.flexibleS !== undefined) {
		clocks.push({
			...common,
			id: `${pourId}-flexible`,
			kind: 'wait',
			startedAtMs: state.pouredAtMs,
			endsAtMs: state.pouredAtMs + plan.flexibleS * 1000,
			then: 'it gives when bent, until it is stiff',
			quiet: true
		});
	}
	// steps of an earlier version end with the demould
	const supported =
		state.doneAtMs['support'] !== undefined ||
		(state.demouldedAtMs !== undefined && !plan.bench.some((s) => s.id === 'support'));
	if (heldOrNoPot && plan.out && !supported) {
		clocks.push({
			...common,
			id: `${pourId}-stiff`,
			kind: 'wait',
			startedAtMs: state.pouredAtMs,
			endsAtMs: state.pouredAtMs + plan.out.stiffS * 1000,
			then: state.demouldedAtMs === undefined ? 'it is stiff: keys lock' : 'it is stiff: it keeps its shape'
		});
	}
	if (state.demouldedAtMs === undefined) {
		clocks.push({
			...common,
			id: `${pourId}-cure`,
			kind: 'cure',
			startedAtMs: state.pouredAtMs,
			endsAtMs: state.pouredAtMs + plan.demouldS * 1000,
			then:
				plan.fill && state.doneAtMs['fill'] === undefined
					? 'fill the shell'
					: plan.out
						? 'out while it still gives'
						: 'demould'
		});
	}
	return clocks;
}

/** What a wait ends with, by the step that waits. */
const WAITED: Readonly<Partial<Record<StepName, string>>> = {
	'flash-off': 'the coat is dry',
	roll: 'it no longer runs',
	brush: 'the coat is laid'
};

/** The wait at hand, such as a coat that dries; nothing when the step at hand is none. */
function waitClock(
	pourId: string,
	plan: PlanWithSteps,
	state: PourState,
	common: Pick<Clock, 'label' | 'href'>
): Clock[] {
	const steps = retimed(plan.bench, plan);
	const step = steps[state.current];
	const since = step?.sinceStep ?? steps[state.current - 1]?.id;
	const startedAtMs = since === undefined ? undefined : state.doneAtMs[since];
	if (step?.kind !== 'dry' || step.waitS === undefined || startedAtMs === undefined) return [];
	return [
		{
			...common,
			id: `${pourId}-${step.id}`,
			kind: 'wait',
			startedAtMs,
			endsAtMs: startedAtMs + step.waitS * 1000,
			then: WAITED[stepName(step.id) ?? 'gelled'] ?? `layer ${(step.layer ?? 0) + 2} may follow`
		}
	];
}

/** The clocks of the layer at hand: its cup until it is poured; then how long it is rolled and waits, and until when it bonds. */
function layerClocks(
	pourId: string,
	plan: PlanWithSteps,
	state: PourState,
	common: Pick<Clock, 'label' | 'href'>
): Clock[] {
	const step = plan.bench[state.current];
	if (!step) return [];
	const layers = plan.layers!;
	// while the next is poured, what lies below bonds until its own time
	const last = [...layers.keys()].reverse().find((i) => state.doneAtMs[layerStep('pour', i)] !== undefined);
	const bonds: Clock[] =
		last === undefined || last === layers.length - 1
			? []
			: [
					{
						...common,
						id: `${pourId}-bond-${last}`,
						kind: 'cure',
						startedAtMs: state.doneAtMs[layerStep('pour', last)]!,
						endsAtMs: state.doneAtMs[layerStep('pour', last)]! + layers[last]!.recoatUntilS * 1000,
						then: `too late for layer ${last + 2}`
					}
				];
	const layer = step.layer ?? 0;
	const combined = state.doneAtMs[cupStep('combine', layer)];
	if (step.kind === 'timed' && combined !== undefined) {
		return [
			{
				...common,
				id: `${pourId}-pot-life-${layer}`,
				kind: 'pot-life',
				startedAtMs: combined,
				endsAtMs: combined + layers[layer]!.potLifeS * 1000,
				then: 'too thick to pour'
			},
			...bonds
		];
	}
	const waiting = waitClock(pourId, plan, state, common);
	if (waiting.length > 0 || last === undefined) return [...waiting, ...bonds];
	// it is weighed meanwhile: when the next layer may follow
	const startedAtMs = state.doneAtMs[layerStep('pour', last)]!;
	return [
		{
			...common,
			id: `${pourId}-gelled-${last}`,
			kind: 'wait',
			startedAtMs,
			endsAtMs: startedAtMs + nextCupS(plan, last) * 1000,
			then:
				nextCupS(plan, last) < layers[last]!.recoatFromS
					? `combine layer ${last + 2}`
					: `layer ${last + 2} may follow`
		},
		...bonds
	];
}
