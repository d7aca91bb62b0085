import { redirect } from '@sveltejs/kit';
import { orPage } from '$lib/server/forms';
import { readMakingEvents } from '$lib/server/repositories/makings';
import { getMould } from '$lib/server/repositories/moulds';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params }) => {
	const mould = await orPage(getMould(params.id));
	if (!mould.making) redirect(303, `/moulds/${params.id}`);
	return { id: mould.id, making: mould.making, known: await readMakingEvents(params.id) };
};
