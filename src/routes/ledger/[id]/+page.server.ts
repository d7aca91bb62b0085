import { orNotFound } from '$lib/server/forms';
import { getPull } from '$lib/server/repositories/ledger';
import { getPour, readEvents } from '$lib/server/repositories/pours';
import { inOrder } from '$lib/core/pour';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params }) => {
	const pull = await orNotFound(getPull(params.id));
	const [pour, { events }] = await Promise.all([getPour(pull.pourId), readEvents(pull.pourId)]);
	return { pull, plan: pour.plan, shotId: pour.plan.shotId, events: inOrder(events) };
};
