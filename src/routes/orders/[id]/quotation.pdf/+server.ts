import { error } from '@sveltejs/kit';
import { orderPrice } from '$lib/core/orders';
import { orPage } from '$lib/server/forms';
import { asker } from '$lib/server/heavy/asker';
import { orderSheet } from '$lib/server/orderSheet';
import { sheet } from '$lib/server/printed';
import { partsOfLines } from '$lib/server/repositories/orderParts';
import { getOrder } from '$lib/server/repositories/orders';
import { dayIn } from '$lib/server/repositories/plans';
import { readHours } from '$lib/server/repositories/workHours';
import type { RequestHandler } from './$types';

const USUAL_MARGIN = 30;

/** What is offered: lines, prices, the day. */
export const GET: RequestHandler = async (event) => {
	const { params, locals, url } = event;
	const order = await orPage(getOrder(params.id));
	const margin = Number(url.searchParams.get('margin') ?? USUAL_MARGIN);
	if (!(margin >= 0 && margin <= 95)) error(400, 'A margin is 0 to 95 percent of the price.');
	const [parts, { hours }] = await Promise.all([partsOfLines(order.record, locals.settings), readHours()]);
	const { currency, hourly, potCycleCost: potCycle } = locals.settings;
	const price = orderPrice(order.record, (id) => parts[id], { hourly, potCycle }, margin);
	const money = (n: number) => `${currency} ${n.toFixed(2)}`;
	const unpriced = order.record.lines.length - price.lines.length;
	return sheet(
		orderSheet(
			locals.settings.paper,
			`Quotation ${order.number}`,
			order.record.name,
			dayIn(hours.zone)(Date.now()),
			[
				{
					head: ['Copies', 'Piece', 'Resin', 'Each', 'Together'],
					widths: [50, '*', '*', 80, 90],
					rows: price.lines.map((l) => [
						`${l.copies}`,
						l.pieceName,
						l.resinName,
						money(l.price),
						money(l.total)
					]),
					foot: ['', '', '', 'Total', money(price.total)],
					numbers: [0, 3, 4]
				},
				`Ready by ${dayIn(hours.zone)(order.record.dueAtMs)}.`,
				...(price.unpriced.length > 0 ? [`Not in these prices yet: ${price.unpriced.join(', ')}.`] : []),
				...(unpriced > 0
					? [
							`${unpriced === 1 ? 'One line has' : `${unpriced} lines have`} no price: what it is cast by cannot be poured as it is.`
						]
					: [])
			]
		),
		`quotation-${order.number}.pdf`,
		asker(event)
	);
};
