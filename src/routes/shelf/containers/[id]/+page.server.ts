import { fail, redirect } from '@sveltejs/kit';
import { message, superValidate } from 'sveltekit-superforms';
import { zod4 } from 'sveltekit-superforms/adapters';
import { chemistryOf, containerHealth, containerRecord } from '$lib/core/shelf';
import { attempt, blank, orNotFound } from '$lib/server/forms';
import {
	getContainer,
	saveContainer,
	setEmptied,
	setRateFactor,
	stockThroughTime
} from '$lib/server/repositories/containers';
import { getResin, listResins, listRubbers } from '$lib/server/repositories/materials';
import type { Actions, PageServerLoad } from './$types';

const today = () => new Date().toISOString().slice(0, 10);

export const load: PageServerLoad = async ({ params, url, locals }) => {
	const [resins, rubbers] = await Promise.all([listResins(), listRubbers()]);
	const materials = [...resins, ...rubbers].map((m) => ({ id: m.id, name: m.record.name }));
	if (params.id === 'new') {
		const form = await superValidate(zod4(containerRecord));
		form.data.materialId = url.searchParams.get('material') ?? '';
		form.data.openedOn = today();
		blank(form, 'sizeG', 'weighedG');
		return { form, container: null, health: null, materials, stock: [] };
	}
	const container = await orNotFound(getContainer(params.id));
	const resin = resins.find((r) => r.id === container.record.materialId);
	const chemistry = resin ? chemistryOf((await getResin(resin.id)).record.family) : ('silicone' as const);
	const shown = { ...container.record, weighedG: Math.round(container.remainingG * 10) / 10 };
	return {
		form: await superValidate(shown, zod4(containerRecord)),
		container,
		stock: await stockThroughTime(params.id),
		health: containerHealth(container.record, chemistry, today(), locals.settings.relativeHumidity),
		materials
	};
};

export const actions: Actions = {
	save: async ({ request, params, url }) => {
		const form = await superValidate(request, zod4(containerRecord));
		if (!form.valid) return fail(400, { form });
		const isNew = params.id === 'new';
		return attempt(form, async () => {
			const version = Number(url.searchParams.get('version'));
			const id = await saveContainer(form.data, new Date(), isNew ? undefined : { id: params.id, version });
			if (isNew) redirect(303, `/shelf/containers/${id}`);
			return message(form, 'Saved.');
		});
	},
	emptied: async ({ request, params }) => {
		const data = await request.formData();
		await setEmptied(params.id, Number(data.get('version')), data.get('emptied') === '1');
	},
	forget: async ({ params }) => setRateFactor(params.id, null)
};
