import { superValidate } from 'sveltekit-superforms';
import { zod4 } from 'sveltekit-superforms/adapters';
import { thermoplasticSheet, sheetOf } from '$lib/core/shelf';
import { orPage } from '$lib/server/forms';
import { materialAction } from '$lib/server/materialAction';
import { getMaterial } from '$lib/server/repositories/materials';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params }) => {
	if (params.id === 'new') {
		return { form: await superValidate(zod4(thermoplasticSheet)), kept: null };
	}
	const kept = await orPage(getMaterial('thermoplastic', params.id));
	return { form: await superValidate(sheetOf(kept.record), zod4(thermoplasticSheet)), kept };
};

export const actions: Actions = {
	default: (event) => materialAction(event, 'thermoplastic')
};
