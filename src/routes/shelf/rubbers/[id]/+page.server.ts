import { fail, redirect } from '@sveltejs/kit';
import { message, superValidate } from 'sveltekit-superforms';
import { zod4 } from 'sveltekit-superforms/adapters';
import { rubberRecord } from '$lib/core/shelf';
import { attempt, blank, orNotFound } from '$lib/server/forms';
import { getRubber, saveMaterial } from '$lib/server/repositories/materials';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params }) => {
	if (params.id === 'new') {
		const form = await superValidate(zod4(rubberRecord));
		blank(form, 'densityGPerMl', 'ratioA', 'ratioB', 'workingTimeS', 'cureTimeS', 'viscosityMpaS');
		return { form, rubber: null };
	}
	const rubber = await orNotFound(getRubber(params.id));
	return { form: await superValidate(rubber.record, zod4(rubberRecord)), rubber };
};

export const actions: Actions = {
	default: async ({ request, params, url }) => {
		const form = await superValidate(request, zod4(rubberRecord));
		if (!form.valid) return fail(400, { form });
		const isNew = params.id === 'new';
		return attempt(form, async () => {
			const version = Number(url.searchParams.get('version'));
			const id = await saveMaterial('rubber', form.data, isNew ? undefined : { id: params.id, version });
			if (isNew) redirect(303, `/shelf/rubbers/${id}`);
			return message(form, 'Saved.');
		});
	}
};
