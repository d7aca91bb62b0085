import { fail } from '@sveltejs/kit';
import { message, superValidate } from 'sveltekit-superforms';
import { zod4 } from 'sveltekit-superforms/adapters';
import { lookForm, trapsFromLook } from '$lib/core/master';
import { attempt, orPage } from '$lib/server/forms';
import { getMaster, saveMaster } from '$lib/server/repositories/masters';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params }) => {
	const master = await orPage(getMaster(params.id));
	const places = master.record.traps
		.filter((t) => t.source === 'look')
		.map(({ place, cure }) => ({ place, cure }));
	return { master, form: await superValidate({ places }, zod4(lookForm), { errors: false }) };
};

export const actions: Actions = {
	default: async ({ params, request, url, locals }) => {
		const form = await superValidate(request, zod4(lookForm));
		if (!form.valid) return fail(400, { form });
		return attempt(form, async () => {
			const master = await getMaster(params.id);
			const traps = trapsFromLook(form.data, master.record.traps);
			const { id, record, photoId } = master;
			const version = Number(url.searchParams.get('version'));
			await saveMaster({ ...record, traps }, photoId, { id, version, actor: locals.person });
			return message(form, 'Kept on the master.');
		});
	}
};
