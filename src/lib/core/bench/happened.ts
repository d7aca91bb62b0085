import type { PourPlan } from '../plan/pourPlan';
import { cutShort, type CutShort } from './cutShort';
import type { PourState } from './reduce';
import { layerAmount } from '../shot/layerAmount';
import { cupStep, layerStep, type BenchStep } from './steps';

/**
 * Waits that were ended early, by their step: marked in the ledger.
 * @example
 * const plan = planOf({ release: { name: 'Wax', kind: 'wax', flashOffS: 300 } });
 * const steps = benchSteps(plan);
 * cutShortOf(plan, steps, reducePour(steps, doneAt({ coat: 0, 'flash-off': 3 }))); // { 'flash-off': { waitedS: 3, wantedS: 300 } }
 */
export function cutShortOf(
	plan: PourPlan,
	steps: readonly BenchStep[],
	state: Pick<PourState, 'doneAtMs' | 'pouredAtMs'>
): Record<string, CutShort> {
	const found: Record<string, CutShort> = {};
	steps.forEach((step, i) => {
		const atMs = state.doneAtMs[step.id];
		const cut = atMs === undefined ? undefined : cutShort(plan, steps, state, i, atMs);
		if (cut) found[step.id] = cut;
	});
	return found;
}

/** One layer as it was planned and as it went; times in s, from its own combining or from its own pour as named. */
export interface LayerStory {
	/** From combining until it was poured. */
	pouredAfterS?: number;
	potLifeS: number;
	/** From its pour until it was said to stay. */
	rolledS?: number;
	/** Brushed: from its being tipped out until it was laid. */
	laidS?: number;
	/** How long laying it was planned to take. */
	layS?: number;
	/** Its cup, g: as planned, and as it was weighed with what was stirred in beyond the plan. */
	plannedG: number;
	realG?: number;
	/** Its colours and fillers, by name. */
	with: string[];
	lockS: number;
	gelS: number;
	/** From its pour until the next was poured on it; of the last there is none. */
	nextAfterS?: number;
	recoatFromS: number;
	recoatUntilS: number;
	/** The next came outside the time in which it bonds. */
	missed?: 'early' | 'late';
}

/**
 * The layers of a pour with their intervals against plan; nothing for a cast in one go.
 * @example
 * layerStories(planOf(), { doneAtMs: {}, weighedG: {}, added: [] }); // []
 */
export function layerStories(
	plan: PourPlan,
	state: Pick<PourState, 'doneAtMs' | 'weighedG' | 'added'>
): LayerStory[] {
	const at = (id: string) => state.doneAtMs[id];
	const between = (from: number | undefined, to: number | undefined) =>
		from === undefined || to === undefined ? undefined : (to - from) / 1000;
	const given = <K extends string>(key: K, value: number | undefined) =>
		(value === undefined ? {} : { [key]: value }) as { [P in K]?: number };
	const layers = plan.layers ?? [];
	return layers.map((l, i) => {
		const poured = at(layerStep('pour', i));
		const next = i + 1 < layers.length ? between(poured, at(layerStep('pour', i + 1))) : undefined;
		const missed =
			next === undefined
				? undefined
				: next > l.recoatUntilS
					? ('late' as const)
					: next < l.recoatFromS * 0.8
						? ('early' as const)
						: undefined;
		return {
			...given('pouredAfterS', between(at(cupStep('combine', i)), poured)),
			potLifeS: l.potLifeS,
			...given('rolledS', between(poured, at(layerStep('roll', i)))),
			...given('laidS', between(poured, at(layerStep('brush', i)))),
			...given('layS', l.layS),
			plannedG: layerAmount(l).massG,
			...given('realG', realG(l, i, state)),
			with: [...(l.fillers ?? []), ...(l.colours ?? [])].map((x) => x.name),
			lockS: l.lockS,
			gelS: l.gelS,
			...given('nextAfterS', next),
			recoatFromS: l.recoatFromS,
			recoatUntilS: l.recoatUntilS,
			...(missed ? { missed } : {})
		};
	});
}

/** What stood in the cup of a layer, g; nothing where it was neither weighed nor added to. */
function realG(
	layer: NonNullable<PourPlan['layers']>[number],
	i: number,
	{ weighedG, added }: Pick<PourState, 'weighedG' | 'added'>
): number | undefined {
	const [a, b] = [weighedG[cupStep('measure-a', i)], weighedG[cupStep('measure-b', i)]];
	const more = added.filter((x) => x.cup === i).reduce((sum, x) => sum + x.massG, 0);
	if (a === undefined && b === undefined && more === 0) return undefined;
	return (
		layerAmount(layer).massG +
		(a ?? layer.a.massG) -
		layer.a.massG +
		(b ?? layer.b.massG) -
		layer.b.massG +
		more
	);
}
