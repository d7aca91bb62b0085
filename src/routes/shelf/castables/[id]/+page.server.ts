import { superValidate } from 'sveltekit-superforms';
import { zod4 } from 'sveltekit-superforms/adapters';
import { castableRecord } from '$lib/core/shelf';
import { blank, orPage } from '$lib/server/forms';
import { materialAction } from '$lib/server/materialAction';
import { getMaterial } from '$lib/server/repositories/materials';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params }) => {
	if (params.id === 'new') {
		const form = await superValidate(zod4(castableRecord));
		return { form: blank(form, 'workS', 'demouldS'), kept: null };
	}
	const kept = await orPage(getMaterial('castable', params.id));
	return { form: await superValidate(kept.record, zod4(castableRecord)), kept };
};

export const actions: Actions = {
	default: (event) => materialAction(event, 'castable')
};
