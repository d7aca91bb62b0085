import { composePlan, type PourPlan } from '$lib/core/plan';
import type { WorkshopSettings } from '$lib/core/workshop';
import { gather, recordsOf } from './shotRecords';
import type { Shot } from './shots';

/**
 * The plans of all batches of a kept shot, as it was kept.
 * @throws RefusedError when its moulds cannot be poured
 */
export async function keptPlans(shot: Shot, settings: WorkshopSettings): Promise<PourPlan[]> {
	const records = await recordsOf(await gather(shot.inputs), shot.inputs, settings, 0);
	const stamps = shot.planned.stamps ?? [];
	return shot.planned.shot.batches.map((_, i) => composePlan(shot, i, { ...records, stamps }));
}
