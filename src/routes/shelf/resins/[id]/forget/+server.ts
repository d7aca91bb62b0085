import { redirect, type RequestHandler } from '@sveltejs/kit';
import { orNotFound } from '$lib/server/forms';
import { forgetDemould } from '$lib/server/repositories/demouldPresses';
import { getResin } from '$lib/server/repositories/materials';

/** What presses at demould taught of a resin so far counts no more. */
export const POST: RequestHandler<{ id: string }> = async ({ params }) => {
	const { id } = await orNotFound(getResin(params.id));
	await forgetDemould(id);
	redirect(303, `/shelf/resins/${id}`);
};
