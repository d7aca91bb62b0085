import { superValidate } from 'sveltekit-superforms';
import { zod4 } from 'sveltekit-superforms/adapters';
import { thermoplasticRecord } from '$lib/core/shelf';
import { blank, orPage } from '$lib/server/forms';
import { materialAction } from '$lib/server/materialAction';
import { getMaterial } from '$lib/server/repositories/materials';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params }) => {
	if (params.id === 'new') {
		const form = await superValidate(zod4(thermoplasticRecord));
		return { form: blank(form, 'softenTempC', 'densityGPerMl', 'coolS'), kept: null };
	}
	const kept = await orPage(getMaterial('thermoplastic', params.id));
	return { form: await superValidate(kept.record, zod4(thermoplasticRecord)), kept };
};

export const actions: Actions = {
	default: (event) => materialAction(event, 'thermoplastic')
};
