import { fail } from '@sveltejs/kit';
import { message, superValidate } from 'sveltekit-superforms';
import { zod4 } from 'sveltekit-superforms/adapters';
import { hoursForm, hoursShown, hoursTyped } from '$lib/core/orders';
import { attempt } from '$lib/server/forms';
import { readHours, saveHours } from '$lib/server/repositories/workHours';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async () => {
	const { hours, version } = await readHours();
	return {
		form: await superValidate(hoursShown(hours), zod4(hoursForm)),
		version,
		zones: Intl.supportedValuesOf('timeZone')
	};
};

export const actions: Actions = {
	save: async ({ request, url, locals }) => {
		const form = await superValidate(request, zod4(hoursForm));
		if (!form.valid) return fail(400, { form });
		return attempt(form, async () => {
			const version = Number(url.searchParams.get('version') ?? 0);
			await saveHours(hoursTyped(form.data), version, locals.person);
			return message(form, 'Kept. The plan follows.');
		});
	}
};
