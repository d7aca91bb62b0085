import { fail } from '@sveltejs/kit';
import { superValidate } from 'sveltekit-superforms';
import { zod4 } from 'sveltekit-superforms/adapters';
import { instrumentInput } from '$lib/core/devices';
import { attempt } from '$lib/server/forms';
import { addInstrument, listInstruments, revokeInstrument } from '$lib/server/repositories/instruments';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async () => ({
	form: await superValidate(zod4(instrumentInput)),
	instruments: await listInstruments()
});

export const actions: Actions = {
	add: async ({ request }) => {
		const form = await superValidate(request, zod4(instrumentInput));
		if (!form.valid) return fail(400, { form });
		return attempt(form, async () => ({ form, token: (await addInstrument(form.data)).token }));
	},
	revoke: async ({ request }) => revokeInstrument(String((await request.formData()).get('id')))
};
