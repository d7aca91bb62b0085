import type { PourPlan } from '../plan';

/** What a batch is mixed of, all layers and cups together, g. */
export interface Mixed {
	aG: number;
	bG: number;
	catalystG: number;
	/** Each by its name once, with what is dusted on. Water that a resin takes up is none. */
	fillers: { name: string; massG: number }[];
}

/**
 * What a batch is mixed of. The plan of one in layers has its parts in all, and all else with each layer.
 * @example
 * mixedOf(planOf()); // { aG: 60, bG: 54, catalystG: 0, fillers: [] }
 */
export function mixedOf(plan: PourPlan): Mixed {
	const catalysts = [plan.catalyst, ...[...(plan.layers ?? []), ...(plan.cups ?? [])].map((c) => c.catalyst)];
	const fillers = new Map<string, number>();
	const stirredIn = plan.layers ? plan.layers.flatMap((l) => l.fillers ?? []) : (plan.fillers ?? []);
	for (const { name, massG } of [...(plan.waterExtended ? [] : stirredIn), ...(plan.dust ? [plan.dust] : [])])
		fillers.set(name, (fillers.get(name) ?? 0) + massG);
	return {
		aG: plan.a.massG,
		bG: plan.b.massG,
		catalystG: catalysts.reduce((sum, c) => sum + (c?.massG ?? 0), 0),
		fillers: [...fillers].map(([name, massG]) => ({ name, massG }))
	};
}
