import { orPage } from '$lib/server/forms';
import { asker } from '$lib/server/heavy/asker';
import { orderSheet, TICK } from '$lib/server/orderSheet';
import { sheet } from '$lib/server/printed';
import { partsOfLines } from '$lib/server/repositories/orderParts';
import { countLines, getOrder } from '$lib/server/repositories/orders';
import { dayIn } from '$lib/server/repositories/plans';
import { readHours } from '$lib/server/repositories/workHours';
import type { RequestHandler } from './$types';

/** What goes out: what is good and in the box, and what follows. */
export const GET: RequestHandler = async (event) => {
	const { params, locals } = event;
	const order = await orPage(getOrder(params.id));
	const [parts, counts, { hours }] = await Promise.all([
		partsOfLines(order.record, locals.settings),
		countLines(order.record.lines.map((l) => l.id)),
		readHours()
	]);
	const rows = order.record.lines.map((l) => {
		const sent = Math.min(l.copies, counts.get(l.id)?.good ?? 0);
		return [
			`${sent}`,
			parts[l.id]?.pieceName ?? 'piece',
			parts[l.id]?.resinName ?? '',
			`${l.copies}`,
			`${l.copies - sent}`,
			TICK
		];
	});
	return sheet(
		orderSheet(
			locals.settings.paper,
			`Delivery note ${order.number}`,
			order.record.name,
			dayIn(hours.zone)(Date.now()),
			[
				{
					head: ['In the box', 'Piece', 'Resin', 'Ordered', 'To follow', 'Counted'],
					widths: [70, '*', '*', 60, 70, 60],
					rows,
					numbers: [0, 3, 4]
				},
				'Received by and on:  ______________________________'
			]
		),
		`delivery-${order.number}.pdf`,
		asker(event)
	);
};
