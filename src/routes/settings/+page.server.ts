import { fail } from '@sveltejs/kit';
import { message, superValidate } from 'sveltekit-superforms';
import { zod4 } from 'sveltekit-superforms/adapters';
import { z } from 'zod';
import { workshopSettings } from '$lib/core/workshop';
import { addressOf } from '$lib/server/address';
import { attempt } from '$lib/server/forms';
import { readSettings, saveSettings } from '$lib/server/repositories/settings';
import type { Actions, PageServerLoad } from './$types';

const THEME_DAYS = 400;

export const load: PageServerLoad = async ({ url, platform }) => {
	const { settings, version } = await readSettings();
	return {
		form: await superValidate(settings, zod4(workshopSettings)),
		version,
		address: addressOf({ address: '' }, url, platform)
	};
};

export const actions: Actions = {
	save: async ({ request, url, locals }) => {
		const form = await superValidate(request, zod4(workshopSettings));
		if (!form.valid) return fail(400, { form });
		const version = z.coerce.number().int().min(0).catch(0).parse(url.searchParams.get('version'));
		return attempt(form, async () => {
			await saveSettings(form.data, version, locals.person);
			return message(form, 'Kept.');
		});
	},
	theme: async ({ request, cookies }) => {
		const theme = String((await request.formData()).get('theme'));
		if (!['light', 'dark', 'system'].includes(theme)) return fail(400);
		cookies.set('theme', theme, {
			path: '/',
			maxAge: THEME_DAYS * 86_400,
			httpOnly: false,
			secure: false,
			sameSite: 'lax'
		});
	}
};
