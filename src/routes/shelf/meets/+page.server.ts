import { fail } from '@sveltejs/kit';
import { message, superValidate } from 'sveltekit-superforms';
import { zod4 } from 'sveltekit-superforms/adapters';
import { experienceRecord, MASTER_THINGS, RIGID_THINGS } from '$lib/core/compatibility';
import { attempt, madeId } from '$lib/server/forms';
import { listExperiences, removeExperience, saveExperience } from '$lib/server/repositories/experiences';
import { thingsOnShelf } from '$lib/server/things';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async () => {
	const [shelf, experiences] = await Promise.all([thingsOnShelf(), listExperiences()]);
	return {
		form: await superValidate(zod4(experienceRecord)),
		things: [...MASTER_THINGS, ...RIGID_THINGS, ...shelf],
		experiences
	};
};

export const actions: Actions = {
	keep: async ({ request, locals }) => {
		const data = await request.formData();
		const form = await superValidate(data, zod4(experienceRecord));
		if (!form.valid) return fail(400, { form });
		return attempt(form, async () => {
			await saveExperience(form.data, madeId(data), locals.person);
			return message(form, 'Kept: it is said wherever the two meet.');
		});
	},
	remove: async ({ request, locals }) => {
		await removeExperience(String((await request.formData()).get('id')), locals.person);
	}
};
