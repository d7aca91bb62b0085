import { hasInstruments } from '$lib/server/devices/driver';
import { outlineOfShot } from '$lib/server/faces';
import { orFail, orNothing, orPage } from '$lib/server/forms';
import { getPour, keepSpeed, readEvents } from '$lib/server/repositories/pours';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params }) => {
	const pour = await orPage(getPour(params.id));
	const [known, instruments, outline] = await Promise.all([
		readEvents(params.id),
		hasInstruments(),
		pour.plan.shotId ? orNothing(outlineOfShot(pour.plan.shotId)) : undefined
	]);
	return { pour, known, instruments, outline };
};

export const actions: Actions = {
	/** Keeps the speed that the cup's readings taught for the tin it came from. */
	keep: ({ params }) =>
		orFail(
			async () => ({ speed: await keepSpeed(params.id) }),
			(refused) => ({ refused })
		)
};
