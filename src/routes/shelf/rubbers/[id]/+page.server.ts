import { superValidate } from 'sveltekit-superforms';
import { zod4 } from 'sveltekit-superforms/adapters';
import { rubberSheet, sheetOf } from '$lib/core/shelf';
import { blank, orPage } from '$lib/server/forms';
import { materialAction } from '$lib/server/materialAction';
import { getRubber } from '$lib/server/repositories/materials';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params }) => {
	if (params.id === 'new') {
		const form = await superValidate(zod4(rubberSheet));
		blank(form, 'ratioA', 'ratioB', 'workingTimeS', 'cureTimeS');
		return { form, rubber: null };
	}
	const rubber = await orPage(getRubber(params.id));
	return { form: await superValidate(sheetOf(rubber.record), zod4(rubberSheet)), rubber };
};

export const actions: Actions = {
	default: (event) => materialAction(event, 'rubber')
};
