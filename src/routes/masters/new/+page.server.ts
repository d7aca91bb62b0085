import { redirect } from '@sveltejs/kit';
import { superValidate } from 'sveltekit-superforms';
import { zod4 } from 'sveltekit-superforms/adapters';
import { masterForm } from '$lib/core/master';
import { masterFormContext } from '$lib/server/masterContext';
import { masterAction } from '$lib/server/masterAction';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
	const form = await superValidate(zod4(masterForm));
	form.data.waterTempC = locals.settings.roomTempC;
	return { form, ...(await masterFormContext()) };
};

export const actions: Actions = {
	default: async (event) => {
		const { id, failure } = await masterAction(event);
		if (id === undefined) return failure;
		redirect(303, `/masters/${id}`);
	}
};
