import { redirect, type RequestHandler } from '@sveltejs/kit';
import { orPage } from '$lib/server/forms';
import { forgetDemould } from '$lib/server/repositories/demouldPresses';
import { getResin } from '$lib/server/repositories/materials';

/** What presses at demould taught of a resin so far counts no more. */
export const POST: RequestHandler<{ id: string }> = async ({ params, locals }) => {
	const { id } = await orPage(getResin(params.id));
	await forgetDemould(id, locals.person);
	redirect(303, `/shelf/resins/${id}`);
};
