import { superValidate } from 'sveltekit-superforms';
import { zod4 } from 'sveltekit-superforms/adapters';
import { fillerRecord } from '$lib/core/shelf';
import { blank, orPage } from '$lib/server/forms';
import { materialAction } from '$lib/server/materialAction';
import { getFiller } from '$lib/server/repositories/materials';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params }) => {
	if (params.id === 'new') {
		const form = await superValidate(zod4(fillerRecord));
		blank(form, 'densityGPerMl', 'bulkDensityGPerMl');
		return { form, filler: null };
	}
	const filler = await orPage(getFiller(params.id));
	return { form: await superValidate(filler.record, zod4(fillerRecord)), filler };
};

export const actions: Actions = {
	default: (event) => materialAction(event, 'filler')
};
