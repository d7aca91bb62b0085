import { superValidate } from 'sveltekit-superforms';
import { zod4 } from 'sveltekit-superforms/adapters';
import { fillerSheet, sheetOf } from '$lib/core/shelf';
import { orPage } from '$lib/server/forms';
import { materialAction } from '$lib/server/materialAction';
import { getFiller } from '$lib/server/repositories/materials';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params }) => {
	if (params.id === 'new') {
		return { form: await superValidate(zod4(fillerSheet)), filler: null };
	}
	const filler = await orPage(getFiller(params.id));
	return { form: await superValidate(sheetOf(filler.record), zod4(fillerSheet)), filler };
};

export const actions: Actions = {
	default: (event) => materialAction(event, 'filler')
};
