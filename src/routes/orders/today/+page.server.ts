import { fail, redirect } from '@sveltejs/kit';
import { handsTimes, potMatesIn, runList } from '$lib/core/orders';
import { momentOf, wallMs } from '$lib/core/wallClock';
import { allFaces } from '$lib/server/faces';
import { asker } from '$lib/server/heavy/asker';
import { orFail } from '$lib/server/forms';
import { openPours } from '$lib/server/repositories/openPours';
import { beginPlanned, finishedPlanned } from '$lib/server/repositories/beginPlanned';
import { planNow } from '$lib/server/repositories/plans';
import { listShots } from '$lib/server/repositories/shots';
import type { Actions, PageServerLoad } from './$types';

const DAY_MS = 86_400_000;
const MOST_LINES = 80;
const MOST_DAYS_AHEAD = 14;

export const load: PageServerLoad = async (event) => {
	const [{ followed, proposed, workshop }, open, shots, faces] = await Promise.all([
		planNow(event.locals.settings, asker(event)),
		openPours(),
		listShots(500),
		allFaces()
	]);
	const { nowMs, hours } = workshop;
	// to the end of tomorrow: what is left of today may be nothing
	const wall = Math.floor(wallMs(nowMs, hours.zone) / DAY_MS) * DAY_MS;
	const todayUntilMs = momentOf(wall + DAY_MS, hours.zone);
	const there = handsTimes(hours, nowMs, MOST_DAYS_AHEAD).map((o) => ({
		fromMs: nowMs + o.fromS * 1000,
		untilMs: nowMs + o.untilS * 1000
	}));
	// and over days on which nobody is there, to the end of the next one on which somebody is
	const again = there.find((o) => o.fromMs >= todayUntilMs)?.fromMs ?? todayUntilMs;
	const dayAfter = (Math.floor(wallMs(again, hours.zone) / DAY_MS) + 1) * DAY_MS;
	const lines = runList(
		followed?.plan.activities ?? [],
		nowMs,
		Math.max(momentOf(wall + 2 * DAY_MS, hours.zone), momentOf(dayAfter, hours.zone)),
		there
	);
	const matesOf = potMatesIn(followed?.plan.activities ?? []);
	const names = new Map(workshop.orders.map((o) => [o.id, o.name]));
	return {
		opensMs: there[0]?.fromMs ?? null,
		faces,
		masterOf: Object.fromEntries(shots.map((s) => [s.id, s.masterId])),
		lines: lines.slice(0, MOST_LINES).map((l) => ({
			...l,
			orderName: names.get(l.orderId ?? '') ?? '',
			potMates: matesOf(l)
		})),
		more: Math.max(0, lines.length - MOST_LINES),
		mouldNumbers: Object.fromEntries(workshop.moulds.map((m) => [m.id, m.number])),
		nextMs: followed?.plan.activities.find((a) => a.hands > 0 && a.startMs >= todayUntilMs)?.startMs ?? null,
		todayUntilMs,
		open,
		hasOrders: workshop.orders.length > 0,
		status: followed?.plan.status ?? 'unknown',
		conflict: followed?.plan.conflict ?? [],
		proposed: proposed && { restsOn: proposed.kept.restsOn, words: proposed.differences.words }
	};
};

export const actions: Actions = {
	/** Begins a pull of the plan at the bench, with everything set. */
	begin: async ({ request, locals }) => {
		const id = String((await request.formData()).get('id') ?? '');
		const begun = await orFail(
			() => beginPlanned(id, locals.settings, locals.person),
			(refused) => ({ refused, at: id })
		);
		if ('pourId' in begun) redirect(303, `/pour/${begun.pourId}`);
		return 'status' in begun ? begun : fail(400, begun);
	},
	/** What is out of its mould was trimmed, sanded, painted. */
	finished: async ({ request, locals }) => {
		const id = String((await request.formData()).get('id') ?? '');
		return orFail(
			async () => {
				await finishedPlanned(id, locals.person);
				return { refused: '', at: id };
			},
			(refused) => ({ refused, at: id })
		);
	}
};
