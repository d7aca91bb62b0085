import { orPage } from '$lib/server/forms';
import { asker } from '$lib/server/heavy/asker';
import { orderSheet } from '$lib/server/orderSheet';
import { sheet } from '$lib/server/printed';
import { partsOfLines } from '$lib/server/repositories/orderParts';
import { getOrder } from '$lib/server/repositories/orders';
import { dayIn } from '$lib/server/repositories/plans';
import { pullsOfLine } from '$lib/server/repositories/tally';
import { readHours } from '$lib/server/repositories/workHours';
import { tallyParts } from '$lib/server/tallySheet';
import type { RequestHandler } from './$types';

/** What was cast for an order so far, line by line, and what is still to come. */
export const GET: RequestHandler = async (event) => {
	const { settings } = event.locals;
	const { number, record } = await orPage(getOrder(event.params.id));
	const [parts, { hours }, ...pulls] = await Promise.all([
		partsOfLines(record, settings),
		readHours(),
		...record.lines.map((l) => pullsOfLine(l.id))
	]);
	const at = dayIn(hours.zone);
	return sheet(
		orderSheet(
			settings.paper,
			`Tally of order ${number}`,
			record.name,
			dayIn(hours.zone)(Date.now()),
			record.lines.flatMap((l, i) => [
				[parts[l.id]?.pieceName ?? 'piece', parts[l.id]?.resinName].filter(Boolean).join(', '),
				...tallyParts(pulls[i]!, l.copies, settings, at)
			])
		),
		`tally-${number}.pdf`,
		asker(event)
	);
};
