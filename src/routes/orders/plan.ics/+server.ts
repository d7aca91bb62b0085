import { createEvents, type EventAttributes } from 'ics';
import { error, type RequestHandler } from '@sveltejs/kit';
import { mateWords, potMatesIn } from '$lib/core/orders';
import { PART_WORDS } from '$lib/core/orders/words';
import { addressOf } from '$lib/server/address';
import { asker } from '$lib/server/heavy/asker';
import { listOrders } from '$lib/server/repositories/orders';
import { planNow } from '$lib/server/repositories/plans';

function at(ms: number): [number, number, number, number, number] {
	const d = new Date(ms);
	return [d.getUTCFullYear(), d.getUTCMonth() + 1, d.getUTCDate(), d.getUTCHours(), d.getUTCMinutes()];
}

const MINUTE_MS = 60_000;
/** What hands are wanted for in a calendar: pours and demoulds, not every preparation. */
const SHOWN: ReadonlySet<string> = new Set(['cast', 'layer', 'demould', 'make']);
/** A newer answer has a higher sequence (RFC 5545, 3.8.7.4): minutes since the beginning of 2025 in which the plan was made. */
const SINCE_MS = Date.UTC(2025, 0, 1);

/** Pours, demoulds and promised days, for any calendar. An activity keeps its UID whenever it moves. */
export const GET: RequestHandler = async (event) => {
	const { base } = addressOf(event.locals.settings, event.url, event.platform);
	const [{ followed, workshop }, orders] = await Promise.all([
		planNow(event.locals.settings, asker(event)),
		listOrders(true)
	]);
	const names = new Map(workshop.orders.map((o) => [o.id, o.name]));
	const matesOf = potMatesIn(followed?.plan.activities ?? []);
	const sequence = Math.max(0, Math.floor(((followed?.plan.madeAtMs ?? SINCE_MS) - SINCE_MS) / MINUTE_MS));
	const utc = { startInputType: 'utc' as const, startOutputType: 'utc' as const };
	const events: EventAttributes[] = [
		...(followed?.plan.activities ?? [])
			.filter((a) => SHOWN.has(a.part))
			.map((a) => ({
				uid: `${a.id.replaceAll('/', '-')}@anthypos`,
				sequence,
				title:
					`${PART_WORDS[a.part].does} ${a.pieceName ?? ''}${a.moulds ? ` in ${a.moulds.join(', ')}` : ''}`.trim(),
				...utc,
				start: at(a.startMs),
				duration: { minutes: Math.max(1, Math.round((a.endMs - a.startMs) / MINUTE_MS)) },
				description: a.orderId
					? `For ${names.get(a.orderId) ?? 'an order'}${a.number ? `, pull ${a.number}` : ''}${a.part === 'cast' && matesOf(a).length > 0 ? `; goes into the pot with ${mateWords(matesOf(a))}` : ''}`
					: '',
				url: `${base}/orders/today`
			})),
		...orders.map((o) => ({
			uid: `order-${o.id}@anthypos`,
			sequence: o.version,
			title: `Wanted: ${o.record.name}`,
			...utc,
			start: at(o.record.dueAtMs),
			duration: { minutes: 15 },
			url: `${base}/orders/${o.id}`
		}))
	];
	const made = createEvents(events, { productId: 'anthypos', calName: 'Plan of the workshop' });
	if (made.error || made.value === undefined) error(500, 'The calendar could not be written.');
	return new Response(made.value, {
		headers: {
			'content-type': 'text/calendar; charset=utf-8',
			'content-disposition': 'attachment; filename="plan.ics"',
			'cache-control': 'no-store'
		}
	});
};
