import { superValidate } from 'sveltekit-superforms';
import { zod4 } from 'sveltekit-superforms/adapters';
import { markCupRecord } from '$lib/core/shelf';
import { blank, orPage } from '$lib/server/forms';
import { materialAction } from '$lib/server/materialAction';
import { getMaterial } from '$lib/server/repositories/materials';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params }) => {
	if (params.id === 'new') {
		const form = await superValidate(zod4(markCupRecord));
		return { form: blank(form, 'floorMm', 'rimMm', 'heightMm'), kept: null };
	}
	const kept = await orPage(getMaterial('cup', params.id));
	return { form: await superValidate(kept.record, zod4(markCupRecord)), kept };
};

export const actions: Actions = {
	default: (event) => materialAction(event, 'cup')
};
