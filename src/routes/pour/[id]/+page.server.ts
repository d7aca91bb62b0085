import { orNotFound } from '$lib/server/forms';
import { getPour, readEvents } from '$lib/server/repositories/pours';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params }) => {
	const pour = await orNotFound(getPour(params.id));
	return { pour, known: await readEvents(params.id) };
};
