import { redirect } from '@sveltejs/kit';
import { keepNewMaster } from '$lib/server/shapeAction';
import type { Actions } from './$types';

export const actions: Actions = {
	keep: async (event) => {
		const kept = await keepNewMaster(event);
		if ('id' in kept) redirect(303, `/masters/${kept.id}`);
		return kept;
	}
};
