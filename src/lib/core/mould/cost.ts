import { MOULD_MODULES } from './kinds';
import type { MouldMaterials, MouldPlan } from './planned';

/** What a mould costs in material and what of it is thrown away. */
export interface MouldCost {
	/** In the workshop's currency; nothing when no price is on the shelf. */
	cost?: number;
	/** Mixed and left in cups, g. */
	wasteG: number;
	wasteShare: number;
}

/**
 * Material cost and waste of a planned mould.
 * @example
 * costOf(mouldOf('one-piece').plan, { rubber: { ...blue, pricePerKg: 20 } }, 0); // { cost: 2.552, wasteG: 0, wasteShare: 0 }
 */
export function costOf(plan: MouldPlan, materials: MouldMaterials, lossPercent: number): MouldCost {
	const kind = MOULD_MODULES[plan.kind];
	const price = kind.pricePerKg(materials);
	const massG = plan.rubber.massG;
	const wasteG = kind.cupIsLost ? massG - massG / (1 + lossPercent / 100) : 0;
	return {
		...(price === undefined ? {} : { cost: (price * massG) / 1000 }),
		wasteG,
		wasteShare: massG > 0 ? wasteG / massG : 0
	};
}
