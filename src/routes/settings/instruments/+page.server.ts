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
	add: async ({ request, locals }) => {
		const form = await superValidate(request, zod4(instrumentInput));
		if (!form.valid) return fail(400, { form });
		return attempt(form, async () => {
			const { token } = await addInstrument(form.data, locals.person);
			return { form, token };
		});
	},
	revoke: async ({ request, locals }) => {
		const id = String((await request.formData()).get('id'));
		await revokeInstrument(id, locals.person);
	}
};
