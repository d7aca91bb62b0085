import { redirect } from '@sveltejs/kit';
import { listVessels, potFromSettings, saveVessel } from '$lib/server/repositories/vessels';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async () => ({ vessels: await listVessels() });

export const actions: Actions = {
	/** Takes the pot of the settings into the books. */
	take: async ({ locals }) => {
		const id = await saveVessel(potFromSettings(locals.settings), { actor: locals.person });
		redirect(303, `/pots/${id}`);
	}
};
