import { fail, redirect } from '@sveltejs/kit';
import { superValidate } from 'sveltekit-superforms';
import { zod4 } from 'sveltekit-superforms/adapters';
import { mouldInputs } from '$lib/core/mould';
import { attempt } from '$lib/server/forms';
import { listMasters } from '$lib/server/repositories/masters';
import { listExperiences } from '$lib/server/repositories/experiences';
import { listMaterials, listResins, listRubbers } from '$lib/server/repositories/materials';
import { saveMould } from '$lib/server/repositories/moulds';
import type { Actions, PageServerLoad } from './$types';

/** Usual sizes to begin with (common practice, no source). */
const START = { clearanceMm: 12, coverMm: 12, lossPercent: 4 };

export const load: PageServerLoad = async ({ url, locals }) => {
	const [masters, rubbers, releases, experiences, resins] = await Promise.all([
		listMasters(),
		listRubbers(),
		listMaterials('release'),
		listExperiences(),
		listResins()
	]);
	const form = await superValidate(zod4(mouldInputs));
	const master = masters.find((m) => m.id === url.searchParams.get('master'));
	Object.assign(form.data, START, {
		masterId: master?.id ?? '',
		label: master?.record.name.slice(0, 100) ?? '',
		roomTempC: locals.settings.roomTempC
	});
	return { form, masters, rubbers, releases, experiences, resins };
};

export const actions: Actions = {
	default: async ({ request }) => {
		const form = await superValidate(request, zod4(mouldInputs));
		if (!form.valid) return fail(400, { form });
		return attempt(form, async () => {
			const id = await saveMould(form.data);
			redirect(303, `/moulds/${id}`);
		});
	}
};
