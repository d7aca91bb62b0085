import { superValidate } from 'sveltekit-superforms';
import { zod4 } from 'sveltekit-superforms/adapters';
import { resinSheet, sheetOf } from '$lib/core/shelf';
import { taughtFor } from '$lib/core/plan';
import { blank, orPage } from '$lib/server/forms';
import { materialAction } from '$lib/server/materialAction';
import { demouldPresses } from '$lib/server/repositories/demouldPresses';
import { getResin } from '$lib/server/repositories/materials';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params }) => {
	if (params.id === 'new') {
		const form = await superValidate(zod4(resinSheet));
		blank(form, 'potLifeS', 'demouldS');
		return { form, resin: null, taught: null };
	}
	const resin = await orPage(getResin(params.id));
	const [form, presses] = await Promise.all([
		superValidate(sheetOf(resin.record), zod4(resinSheet)),
		demouldPresses(resin.id)
	]);
	return { form, resin, taught: taughtFor(presses, resin.id, []) ?? null };
};

export const actions: Actions = {
	default: (event) => materialAction(event, 'resin')
};
