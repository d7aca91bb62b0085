import { layerAmount } from '../shot/layerAmount';
import type { PourPlan } from '../plan/pourPlan';
import type { PourState } from './reduce';
import { cupStep, stepId, type BenchStep } from './steps';

/**
 * What a pour took out of the tins so far, g: every cup that was combined, as it was weighed where it was and
 * as planned where it was not; fillers by their names, with what was stirred in beyond the plan. A rotocast books layer
 * by layer.
 * @example
 * takenG(planOf(), { doneAtMs: { combine: 1 }, weighedG: {} }); // { aG: 60, bG: 54, fillersG: {  } }
 */
export function takenG(
	plan: PourPlan,
	state: Pick<PourState, 'doneAtMs' | 'weighedG'> & Partial<Pick<PourState, 'added'>>
): { aG: number; bG: number; fillersG: Record<string, number> } {
	const cups = plan.layers ?? plan.cups ?? [{ a: plan.a, b: plan.b }];
	let [aG, bG] = [0, 0];
	const fillersG: Record<string, number> = {};
	const add = (name: string, massG: number) => (fillersG[name] = (fillersG[name] ?? 0) + massG);
	cups.forEach((cup, i) => {
		if (state.doneAtMs[cupStep('combine', i)] === undefined) return;
		aG += state.weighedG[cupStep('measure-a', i)] ?? cup.a.massG;
		bG += state.weighedG[cupStep('measure-b', i)] ?? cup.b.massG;
		const fillers = plan.layers ? plan.layers[i]!.fillers : i === 0 ? plan.fillers : undefined;
		fillers?.forEach((f, n) =>
			add(f.name, state.weighedG[stepId({ name: 'measure-filler', n, cup: i })] ?? f.massG)
		);
		for (const more of state.added ?? []) if (more.cup === i) add(more.name, more.massG);
	});
	return { aG, bG, fillersG };
}

/**
 * What a shot weighed, g: every part, filler and catalyst as it was weighed where it was, and as planned where it was
 * not.
 * @example
 * const plan = planOf();
 * mixedMassG(plan, benchSteps(plan), { weighedG: { 'measure-a': 61 } }); // 115
 */
export function mixedMassG(
	plan: PourPlan,
	steps: readonly BenchStep[],
	state: Pick<PourState, 'weighedG'> & Partial<Pick<PourState, 'added'>>
): number {
	const more = steps.reduce((sum, s) => {
		const weighed = s.kind === 'measure' ? state.weighedG[s.id] : undefined;
		return weighed === undefined || !s.amount ? sum : sum + weighed - s.amount.massG;
	}, 0);
	const added = (state.added ?? []).reduce((sum, a) => sum + a.massG, 0);
	return shotMassG(plan) + more + added;
}

/**
 * Everything that is mixed for one batch, g: of a cast that is built up in layers all of them, with their
 * catalyst and
 * fillers; otherwise the one cup. What is dusted on or set in does not count.
 * @example
 * shotMassG(planOf()); // 114
 */
export function shotMassG(plan: Pick<PourPlan, 'massG' | 'layers'>): number {
	if (!plan.layers?.length) return plan.massG;
	return plan.layers.reduce((sum, l) => sum + layerAmount(l).massG, 0);
}
