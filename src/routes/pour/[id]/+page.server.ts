import { hasInstruments } from '$lib/server/devices/driver';
import { orFail, orPage } from '$lib/server/forms';
import { getPour, keepSpeed, readEvents } from '$lib/server/repositories/pours';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params }) => {
	const pour = await orPage(getPour(params.id));
	return { pour, known: await readEvents(params.id), instruments: await hasInstruments() };
};

export const actions: Actions = {
	/** Keeps the speed that the cup's readings taught for the tin it came from. */
	keep: ({ params }) =>
		orFail(
			async () => ({ speed: await keepSpeed(params.id) }),
			(refused) => ({ refused })
		)
};
