import { fail, redirect } from '@sveltejs/kit';
import { message, superValidate } from 'sveltekit-superforms';
import { zod4 } from 'sveltekit-superforms/adapters';
import { resinRecord } from '$lib/core/shelf';
import { attempt, blank, orNotFound } from '$lib/server/forms';
import { getResin, saveMaterial } from '$lib/server/repositories/materials';
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
	default: async ({ request, params, url }) => {
		const form = await superValidate(request, zod4(resinRecord));
		if (!form.valid) return fail(400, { form });
		const isNew = params.id === 'new';
		return attempt(form, async () => {
			const version = Number(url.searchParams.get('version'));
			const id = await saveMaterial('resin', form.data, isNew ? undefined : { id: params.id, version });
			if (isNew) redirect(303, `/shelf/resins/${id}`);
			return message(form, 'Saved.');
		});
	}
};
