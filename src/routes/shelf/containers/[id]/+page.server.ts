import { fail, redirect } from '@sveltejs/kit';
import { message, superValidate } from 'sveltekit-superforms';
import { zod4 } from 'sveltekit-superforms/adapters';
import { z } from 'zod';
import { chemistryOf, containerChange, containerHealth, containerRecord } from '$lib/core/shelf';
import { pictureActions } from '$lib/server/pictureActions';
import { attempt, blank, madeId, orFail, orPage } from '$lib/server/forms';
import {
	changeContainer,
	getContainer,
	saveContainer,
	setEmptied,
	setRateFactor
} from '$lib/server/repositories/containers';
import { stockLines, throwAway } from '$lib/server/repositories/stock';
import { listPictures } from '$lib/server/repositories/pictures';
import { getResin, listFillers, listResins, listRubbers } from '$lib/server/repositories/materials';
import type { Actions, PageServerLoad } from './$types';

const thrown = z.object({
	massG: z.coerce
		.number({ error: 'Type what went out, such as 120 g.' })
		.positive('Type what went out, such as 120 g.')
		.max(1e6, 'Over a tonne: check the unit.'),
	note: z.string().trim().max(500, 'Keep it under 500 characters.').default(''),
	madeId: z.uuid('This page has lost its number: load it again.')
});

const today = () => new Date().toISOString().slice(0, 10);

export const load: PageServerLoad = async ({ params, url, locals }) => {
	const [resins, rubbers, fillers] = await Promise.all([listResins(), listRubbers(), listFillers()]);
	const materials = [...resins, ...rubbers, ...fillers].map((m) => ({ id: m.id, name: m.record.name }));
	if (params.id === 'new') {
		const form = await superValidate(zod4(containerRecord));
		form.data.materialId = url.searchParams.get('material') ?? '';
		form.data.openedOn = today();
		blank(form, 'sizeG', 'weighedG');
		return { form, container: null, health: null, materials, stock: [], photos: [] };
	}
	const container = await orPage(getContainer(params.id));
	const resin = resins.find((r) => r.id === container.record.materialId);
	const chemistry = resin ? chemistryOf((await getResin(resin.id)).record.family) : ('silicone' as const);
	// what is left is shown beside the form: a weight in it would be a weighing
	const shown = { ...container.record, weighedG: undefined };
	return {
		form: await superValidate(shown, zod4(containerChange)),
		container,
		stock: await stockLines(params.id),
		photos: await listPictures('container', params.id),
		health: containerHealth(container.record, chemistry, today(), locals.settings),
		materials
	};
};

export const actions: Actions = {
	save: async ({ request, params, url, locals }) => {
		if (params.id === 'new') {
			const data = await request.formData();
			const form = await superValidate(data, zod4(containerRecord));
			if (!form.valid) return fail(400, { form });
			return attempt(form, async () => {
				const id = await saveContainer(form.data, new Date(), madeId(data), locals.person);
				redirect(303, `/shelf/containers/${id}`);
			});
		}
		const form = await superValidate(request, zod4(containerChange));
		if (!form.valid) return fail(400, { form });
		return attempt(form, async () => {
			const asked = (key: string) => Number(url.searchParams.get(key));
			await changeContainer(
				form.data,
				new Date(),
				{
					id: params.id,
					version: asked('version'),
					...(url.searchParams.has('openings') ? { openings: asked('openings') } : {})
				},
				locals.person
			);
			const fresh = { ...form.data, weighedG: undefined };
			return message(await superValidate(fresh, zod4(containerChange)), 'Kept.');
		});
	},
	emptied: async ({ request, params, locals }) => {
		const data = await request.formData();
		return orFail(
			async () => {
				await setEmptied(params.id, Number(data.get('version')), data.get('emptied') === '1', locals.person);
				return { emptied: true };
			},
			(refused) => ({ refused })
		);
	},
	thrown: async ({ request, params, locals }) => {
		const data = await request.formData();
		const form = thrown.safeParse(Object.fromEntries(data));
		if (!form.success) {
			const { path, message: said } = form.error.issues[0]!;
			return fail(400, { refusedAt: String(path[0]), refused: said });
		}
		const { massG, note: said, madeId } = form.data;
		return orFail(
			async () => {
				await throwAway(params.id, massG, said, madeId, locals.person);
				return { thrown: true };
			},
			(refused) => ({ refused })
		);
	},
	forget: ({ params, locals }) =>
		orFail(
			() => setRateFactor(params.id, null, locals.person),
			(refused) => ({ refused })
		),
	...pictureActions('container')
};
