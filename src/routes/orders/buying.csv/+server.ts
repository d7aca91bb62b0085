import Papa from 'papaparse';
import type { RequestHandler } from '@sveltejs/kit';
import { safeCell } from '$lib/core/ledger';
import { buyingList } from '$lib/core/orders';
import { asker } from '$lib/server/heavy/asker';
import { planNow } from '$lib/server/repositories/plans';

const HEAD = ['part', 'buy g', 'orders take g', 'on the shelf g', 'past its use-by g', 'runs out', 'for'];

/** What open orders take against the shelf, what is short first. */
export const GET: RequestHandler = async (event) => {
	const { followed, workshop } = await planNow(event.locals.settings, asker(event));
	const rows = buyingList(workshop, followed?.plan.activities).map((b) =>
		[
			b.name,
			Math.ceil(b.shortG),
			Math.round(b.takesG),
			b.leftG === null ? 'not in the books' : Math.round(b.leftG),
			Math.round(b.pastG),
			b.runsOutMs === null ? '' : new Date(b.runsOutMs).toISOString(),
			b.orders.join('; ')
		].map(safeCell)
	);
	return new Response(`${Papa.unparse([HEAD, ...rows], { newline: '\r\n' })}\r\n`, {
		headers: {
			'content-type': 'text/csv; charset=utf-8',
			'content-disposition': 'attachment; filename="buying-list.csv"',
			'cache-control': 'no-store'
		}
	});
};
