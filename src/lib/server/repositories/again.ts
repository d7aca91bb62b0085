import { randomUUID } from 'node:crypto';
import { carriedOver, nextOf, reducePour, stepsOf } from '$lib/core/bench';
import type { WorkshopSettings } from '$lib/core/workshop';
import { plain, tables } from '../db/models';
import { ConflictError, RefusedError } from '../errors';
import type { Actor } from '../people/audit';
import { beginPour } from './beginPour';
import { addEvents, getPour, readEvents } from './pours';
import { LEFT_OVER } from './shotRecords';
import type { ShotMoved } from './shots';

/**
 * Begins the next pull of the same cast, with all of its set-up that still holds. Pressed twice it is the same pour.
 * @param wanted how many in all, where that is said now
 * @throws RefusedError while the pour is open, or where nothing of it is in the books
 */
export async function beginAgain(
	pourId: string,
	settings: WorkshopSettings,
	wanted?: number,
	actor?: Actor
): Promise<{ id: string } | { moved: ShotMoved; shotId: string }> {
	const { plan, status } = await getPour(pourId);
	if (status === 'open') throw new RefusedError('This pour is not over yet: finish it, or give it up.');
	const row = await tables.pours().findByPk(pourId, { attributes: ['shotId'] });
	const shotId = row && plain(row).shotId;
	if (!shotId || plan.moulds.length === 0)
		throw new RefusedError(
			'It was poured before it was kept as a shot: size it first, then it is poured again.'
		);
	const series = nextOf(pourId, plan.series, wanted);
	const next = (choice?: 'today') =>
		beginPour(shotId, (plan.batchIndex + 1) % plan.batchCount, settings, {
			choice,
			actor,
			series,
			...(plan.order && { order: { ...plan.order, number: plan.order.number + 1 } })
		});
	const asked = await next();
	// what the last pull left is what the next one opens with: nobody is asked for that alone
	const begun =
		'moved' in asked && !asked.moved.refused && asked.moved.records.every((r) => r === LEFT_OVER)
			? await next('today').catch((error: unknown) => {
					// pressed twice: the other press had sized the shot anew already
					if (error instanceof ConflictError) return next();
					throw error;
				})
			: asked;
	if ('moved' in begun) return { ...begun, shotId };
	const [{ events }, already] = await Promise.all([readEvents(pourId), readEvents(begun.id)]);
	if (already.events.length === 0) {
		const state = reducePour(stepsOf(plan), events);
		const carried = carriedOver(events, state, Date.now(), () => randomUUID());
		if (carried.length > 0) await addEvents(begun.id, carried);
	}
	return begun;
}
