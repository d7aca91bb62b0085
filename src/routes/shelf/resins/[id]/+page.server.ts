import { superValidate } from 'sveltekit-superforms';
import { zod4 } from 'sveltekit-superforms/adapters';
import { resinRecord } from '$lib/core/shelf';
import { blank, orNotFound } from '$lib/server/forms';
import { materialAction } from '$lib/server/materialAction';
import { getResin } from '$lib/server/repositories/materials';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params }) => {
	if (params.id === 'new') {
		const form = await superValidate(zod4(resinRecord));
		blank(form, 'densityAGPerMl', 'potLifeS', 'demouldS', 'viscosityMpaS');
		return { form, resin: null };
	}
	const resin = await orNotFound(getResin(params.id));
	return { form: await superValidate(resin.record, zod4(resinRecord)), resin };
};

export const actions: Actions = {
	default: (event) => materialAction(event, 'resin')
};
