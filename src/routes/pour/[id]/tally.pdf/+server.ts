import { orPage } from '$lib/server/forms';
import { asker } from '$lib/server/heavy/asker';
import { orderSheet } from '$lib/server/orderSheet';
import { sheet } from '$lib/server/printed';
import { dayIn } from '$lib/server/repositories/plans';
import { runOf } from '$lib/server/repositories/tally';
import { readHours } from '$lib/server/repositories/workHours';
import { tallyParts } from '$lib/server/tallySheet';
import type { RequestHandler } from './$types';

/** Pull after pull of the same cast, to hang at the bench. */
export const GET: RequestHandler = async (event) => {
	const { settings } = event.locals;
	const [run, { hours }] = await Promise.all([orPage(runOf(event.params.id)), readHours()]);
	return sheet(
		orderSheet(settings.paper, 'Tally', `${run.pieceName}, ${run.resinName}`, dayIn(hours.zone)(Date.now()), [
			...tallyParts(run.pulls, run.wanted, settings, dayIn(hours.zone))
		]),
		'tally.pdf',
		asker(event)
	);
};
