import { superValidate } from 'sveltekit-superforms';
import { zod4 } from 'sveltekit-superforms/adapters';
import { recipeRecord } from '$lib/core/shelf';
import { blank, orPage } from '$lib/server/forms';
import { materialAction } from '$lib/server/materialAction';
import { getMaterial, listMaterials, listResins } from '$lib/server/repositories/materials';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params }) => {
	const [colours, resins] = await Promise.all([listMaterials('colour'), listResins()]);
	if (params.id === 'new') {
		const form = await superValidate(zod4(recipeRecord));
		return { form: blank(form, 'resinMassG'), kept: null, colours, resins };
	}
	const kept = await orPage(getMaterial('recipe', params.id));
	return { form: await superValidate(kept.record, zod4(recipeRecord)), kept, colours, resins };
};

export const actions: Actions = {
	default: (event) => materialAction(event, 'recipe')
};
