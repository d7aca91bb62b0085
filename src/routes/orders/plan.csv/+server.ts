import Papa from 'papaparse';
import type { RequestHandler } from '@sveltejs/kit';
import { safeCell } from '$lib/core/ledger';
import { mateWords, potMatesIn } from '$lib/core/orders';
import { PART_WORDS } from '$lib/core/orders/words';
import { asker } from '$lib/server/heavy/asker';
import { planNow } from '$lib/server/repositories/plans';

const HEAD = [
	'begins',
	'ends',
	'what',
	'piece',
	'pull',
	'order',
	'moulds',
	'pot',
	'goes in with',
	'hands',
	'pinned'
];

/** The plan that is followed as CSV, by the clock. */
export const GET: RequestHandler = async (event) => {
	const { followed, workshop } = await planNow(event.locals.settings, asker(event));
	const orders = new Map(workshop.orders.map((o) => [o.id, o.name]));
	const pots = new Map(workshop.pots.map((p) => [p.id, p.name]));
	const matesOf = potMatesIn(followed?.plan.activities ?? []);
	const rows = (followed?.plan.activities ?? []).map((a) =>
		[
			new Date(a.startMs).toISOString(),
			new Date(a.endMs).toISOString(),
			PART_WORDS[a.part].is,
			a.pieceName,
			a.number,
			orders.get(a.orderId ?? ''),
			a.moulds?.join(' '),
			pots.get(a.potId ?? ''),
			mateWords(matesOf(a)),
			a.hands,
			a.pinned ? 'yes' : ''
		].map(safeCell)
	);
	return new Response(`${Papa.unparse([HEAD, ...rows], { newline: '\r\n' })}\r\n`, {
		headers: {
			'content-type': 'text/csv; charset=utf-8',
			'content-disposition': 'attachment; filename="plan.csv"',
			'cache-control': 'no-store'
		}
	});
};
