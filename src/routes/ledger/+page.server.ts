import { fail } from '@sveltejs/kit';
import { z } from 'zod';
import { orFail } from '$lib/server/forms';
import { filterOf, orderOf } from '$lib/server/ledgerQuery';
import { pullLine } from '$lib/core/ledger';
import { COUNTED, listPulls, resinsInLedger } from '$lib/server/repositories/ledger';
import { forgetView, listViews, saveView } from '$lib/server/repositories/ledgerCorrections';
import { mouldNames } from '$lib/server/repositories/moulds';
import { ordersOfPours } from '$lib/server/repositories/orders';
import type { Actions, PageServerLoad } from './$types';

/** Two windows of rows: a page of more is laid out for longer than anybody waits on a slow processor. */
const PAGE = 25;

export const load: PageServerLoad = async ({ url }) => {
	const page = Math.max(1, Math.min(100_000, Math.trunc(Number(url.searchParams.get('page') ?? 1)) || 1));
	const { filter, shown } = filterOf(url.searchParams);
	const order = orderOf(url.searchParams);
	const [{ pulls, total }, moulds, resins, views] = await Promise.all([
		listPulls(filter, { offset: (page - 1) * PAGE, limit: PAGE }, order),
		mouldNames(),
		resinsInLedger(),
		listViews()
	]);
	const orders = await ordersOfPours(pulls.map((p) => p.pourId));
	return {
		pulls: pulls.map((p) => ({ ...pullLine(p), order: orders.get(p.pourId ?? '') })),
		total: Math.min(total, COUNTED),
		more: total > COUNTED,
		page,
		isFull: pulls.length === PAGE,
		pages: Math.max(1, Math.ceil(Math.min(total, COUNTED) / PAGE)),
		filter: shown,
		order,
		moulds,
		resins,
		views
	};
};

const name = z.string().trim().min(1, 'Name the view.').max(60, 'Keep it under 60 characters.');

export const actions: Actions = {
	keepView: async ({ request, url, locals }) => {
		const typed = name.safeParse((await request.formData()).get('name'));
		if (!typed.success) return fail(400, { viewProblem: typed.error.issues[0]!.message });
		const query = new URLSearchParams(
			[...url.searchParams].filter(([k]) => k !== '/keepView' && k !== 'page')
		);
		return orFail(
			async () => {
				await saveView(typed.data, query.toString().slice(0, 500), locals.person);
				return { viewKept: typed.data };
			},
			(viewProblem) => ({ viewProblem })
		);
	},
	forgetView: async ({ request, locals }) => {
		await forgetView(String((await request.formData()).get('id')), locals.person);
	}
};
