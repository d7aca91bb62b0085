import { buyingList, coatsWanted } from '$lib/core/orders';
import { allFaces } from '$lib/server/faces';
import { asker } from '$lib/server/heavy/asker';
import { orFail } from '$lib/server/forms';
import { countLines, listOrders } from '$lib/server/repositories/orders';
import { acceptPlan, outlookOf, planNow } from '$lib/server/repositories/plans';
import { listShots } from '$lib/server/repositories/shots';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async (event) => {
	const orders = await listOrders();
	const [{ followed, proposed, workshop }, counts, shots, faces] = await Promise.all([
		planNow(event.locals.settings, asker(event)),
		countLines(orders.flatMap((o) => o.record.lines.map((l) => l.id))),
		listShots(500),
		allFaces()
	]);
	const lines = new Map(workshop.orders.flatMap((o) => o.lines.map((l) => [l.id, l] as const)));
	return {
		faces,
		masterOf: Object.fromEntries(shots.map((s) => [s.id, s.masterId])),
		orders: orders.map(({ id, number, record }) => ({
			id,
			number,
			record,
			lines: record.lines.map((l) => ({
				...l,
				...counts.get(l.id)!,
				pieceName: lines.get(l.id)?.pieceName ?? '',
				resinName: lines.get(l.id)?.resinName ?? ''
			})),
			...outlookOf(id, followed, proposed?.kept ?? null)
		})),
		takes: buyingList(workshop, followed?.plan.activities),
		coats: coatsWanted(workshop),
		plan: followed && {
			status: followed.plan.status,
			conflict: followed.plan.conflict,
			finishMs: followed.plan.finishMs,
			boundMs: followed.plan.boundMs,
			madeAtMs: followed.plan.madeAtMs
		},
		proposed: proposed && {
			restsOn: proposed.kept.restsOn,
			words: proposed.differences.words,
			sure: proposed.kept.outlooks
		}
	};
};

export const actions: Actions = {
	/** Follows the plan that was proposed. */
	accept: async ({ request, locals }) => {
		const restsOn = String((await request.formData()).get('restsOn') ?? '');
		return orFail(
			() => acceptPlan(restsOn, locals.person),
			(refused) => ({ refused })
		);
	}
};
