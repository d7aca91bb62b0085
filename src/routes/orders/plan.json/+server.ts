import { json, type RequestHandler } from '@sveltejs/kit';
import { asker } from '$lib/server/heavy/asker';
import { listOrders } from '$lib/server/repositories/orders';
import { planNow } from '$lib/server/repositories/plans';

/** Orders, the plan that is followed and how sure its days are, as JSON. Times are ms since 1970. */
export const GET: RequestHandler = async (event) => {
	const [{ followed, proposed }, orders] = await Promise.all([
		planNow(event.locals.settings, asker(event)),
		listOrders()
	]);
	return json(
		{
			orders: orders.map(({ id, number, version, record }) => ({ id, number, version, ...record })),
			plan: followed?.plan ?? null,
			outlooks: followed?.outlooks ?? [],
			pins: followed?.pins ?? {},
			proposed: proposed && { restsOn: proposed.kept.restsOn, differences: proposed.differences }
		},
		{ headers: { 'cache-control': 'no-store' } }
	);
};
