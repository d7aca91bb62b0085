import { fail, redirect } from '@sveltejs/kit';
import { superValidate } from 'sveltekit-superforms';
import { zod4 } from 'sveltekit-superforms/adapters';
import { firstSettings } from '$lib/core/workshop';
import { attempt } from '$lib/server/forms';
import { readSettings, saveSettings } from '$lib/server/repositories/settings';
import { fillShelf } from '$lib/server/repositories/starter';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async () => {
	const { settings, version } = await readSettings();
	return { form: await superValidate({ ...settings, starterShelf: true }, zod4(firstSettings)), version };
};

export const actions: Actions = {
	default: async ({ request, locals }) => {
		const form = await superValidate(request, zod4(firstSettings));
		if (!form.valid) return fail(400, { form });
		return attempt(form, async () => {
			const { starterShelf, ...said } = form.data;
			const { settings, version } = await readSettings();
			// who measures in inches prints on Letter and reads the clock by twelve hours, until they say otherwise
			const local = said.units === 'us' ? { paper: 'Letter' as const, clockHours: '12' as const } : {};
			await saveSettings({ ...settings, ...said, ...(version === 0 ? local : {}) }, version, locals.person);
			if (starterShelf) await fillShelf(locals.person);
			redirect(303, '/');
		});
	}
};
