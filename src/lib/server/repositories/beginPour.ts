import { randomUUID } from 'node:crypto';
import { withSteps } from '$lib/core/bench';
import type { PourPlan } from '$lib/core/plan';
import type { UnitSystem } from '$lib/core/units';
import type { WorkshopSettings } from '$lib/core/workshop';
import { inTransaction } from '../db/connection';
import { hold } from '../db/lock';
import { plain, tables } from '../db/models';
import { RefusedError } from '../errors';
import type { Actor } from '../people/audit';
import { withCoat } from './coats';
import { batchPlans, replanShot, type ShotMoved } from './shots';
import { holdMoulds, noteBegun, refuseBusy } from './takeMoulds';
import { getVessel } from './vessels';

/** By which records a kept shot is poured, when they are otherwise now. */
export const PLAN_CHOICES = ['today', 'kept'] as const;
type PlanChoice = (typeof PLAN_CHOICES)[number];

/** How and by whom a batch is begun, and what it is a part of. */
interface Beginning
	extends
		Pick<PourPlan, 'series' | 'order' | 'potLoad'>,
		Partial<Pick<PourPlan, 'steps' | 'holdUntilS' | 'demouldS'>> {
	choice?: PlanChoice | undefined;
	actor?: Actor | undefined;
}

/**
 * Begins a batch at the bench, or returns the one that is already open for it. Where today's records make another plan
 * than the one that was kept, nothing is begun before the maker has chosen: the differences come back instead.
 */
export async function beginPour(
	shotId: string,
	batchIndex: number,
	settings: WorkshopSettings,
	{ choice, actor, ...also }: Beginning = {}
): Promise<{ id: string } | { moved: ShotMoved }> {
	const [known] = await tables.pours().findAll({ where: { shotId, batchIndex, status: 'open' }, limit: 1 });
	if (known && also.order && plain(known).orderLineId !== also.order.lineId)
		throw new RefusedError(
			'The same shot is at the bench already, and not for this order: finish that one first.'
		);
	if (known) return { id: plain(known).id };
	const { kept, now, moved } = await batchPlans(shotId, batchIndex, settings);
	if (moved && (!choice || (choice === 'today' && moved.refused))) return { moved };
	if (moved && choice === 'today') await replanShot(shotId, settings, actor);
	const plan = choice === 'kept' ? kept : now;
	return { id: await openPour(shotId, batchIndex, { ...plan, ...also }, settings.units, actor) };
}

/** Begins a batch by the records of today, nobody being asked. @throws RefusedError where they allow no plan */
export async function beginToday(
	shotId: string,
	batchIndex: number,
	settings: WorkshopSettings,
	actor?: Actor
): Promise<string> {
	const begun = await beginPour(shotId, batchIndex, settings, { choice: 'today', actor });
	if ('id' in begun) return begun.id;
	throw new RefusedError(begun.moved.refused ?? 'It cannot be planned by today’s records.');
}

async function openPour(
	shotId: string,
	batchIndex: number,
	plan: PourPlan,
	units: UnitSystem,
	actor: Actor | undefined
): Promise<string> {
	if (plan.pot?.vesselId) {
		const { refused } = await getVessel(plan.pot.vesselId);
		if (refused) throw new RefusedError(refused);
	}
	return inTransaction(async (transaction) => {
		// two devices that begin at once get the same pour
		await hold([`shot ${shotId}`], transaction);
		await holdMoulds(plan, transaction);
		const open = await tables.pours().findOne({ where: { shotId, batchIndex, status: 'open' }, transaction });
		if (open) return plain(open).id;
		await refuseBusy(plan, transaction);
		const id = randomUUID();
		await tables.pours().create(
			{
				id,
				shotId,
				orderLineId: plan.order?.lineId ?? null,
				batchIndex,
				status: 'open',
				plan: withSteps(await withCoat(plan, transaction), units)
			},
			{ transaction }
		);
		await noteBegun(actor, plan, transaction);
		return id;
	});
}
