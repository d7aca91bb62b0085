import { fail } from '@sveltejs/kit';
import { z } from 'zod';
import { fieldErrors } from '$lib/core/fieldErrors';
import { mouldInspection, signsFor } from '$lib/core/wear';
import { orFail, orPage } from '$lib/server/forms';
import { actingOf } from '$lib/server/people/acting';
import { getMould } from '$lib/server/repositories/moulds';
import { addMouldInspection, mouldWear } from '$lib/server/repositories/wear';
import type { Actions, PageServerLoad } from './$types';

const MOST_WANTED = 100_000;

export const load: PageServerLoad = async ({ params, url }) => {
	const mould = await orPage(getMould(params.id));
	const asked = Math.trunc(Number(url.searchParams.get('wanted')));
	const wanted = asked > 0 && asked <= MOST_WANTED ? asked : undefined;
	const wear = await mouldWear(mould, wanted === undefined ? {} : { wanted });
	return { wear, wanted: wanted ?? null, signs: signsFor(mould.inputs.kind === 'rigid') };
};

export const actions: Actions = {
	inspect: async ({ request, params, locals }) => {
		const data = await request.formData();
		const id = z.uuid().safeParse(data.get('entry'));
		let typed: unknown;
		try {
			typed = JSON.parse(String(data.get('inspection')));
		} catch {
			return fail(400, { problems: [{ path: '', message: 'The look could not be read: try again.' }] });
		}
		const inspection = mouldInspection.safeParse(typed);
		if (!inspection.success || !id.success)
			return fail(400, { problems: inspection.success ? [] : (fieldErrors(inspection.error) ?? []) });
		const by = actingOf(locals);
		const look = { ...inspection.data, ...(by ? { by } : {}) };
		const photo = data.get('photo');
		const bytes =
			photo instanceof File && photo.size > 0 ? Buffer.from(await photo.arrayBuffer()) : undefined;
		return orFail(
			async () => {
				await addMouldInspection(params.id, id.data, look, new Date(), bytes, {}, locals.person);
				return { kept: true };
			},
			(message) => ({ problems: [{ path: 'photo', message }] })
		);
	}
};
