import { fail, redirect } from '@sveltejs/kit';
import { superValidate } from 'sveltekit-superforms';
import { zod4 } from 'sveltekit-superforms/adapters';
import { castableInputs } from '$lib/core/castable';
import { faceOf } from '$lib/server/faces';
import { attempt, madeId } from '$lib/server/forms';
import { asCastableMould, pourCastable } from '$lib/server/repositories/castables';
import { listMasters } from '$lib/server/repositories/masters';
import { listMaterials } from '$lib/server/repositories/materials';
import { listMoulds, mouldsInPours } from '$lib/server/repositories/moulds';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ url, locals }) => {
	const [castables, masters, allMoulds, rubbers, thermoplastics, full] = await Promise.all([
		listMaterials('castable'),
		listMasters(),
		listMoulds(),
		listMaterials('rubber'),
		listMaterials('thermoplastic'),
		mouldsInPours()
	]);
	const active = allMoulds.filter((m) => m.state === 'active');
	const mould = active.find((m) => m.id === url.searchParams.get('mould'));
	const form = await superValidate(zod4(castableInputs));
	Object.assign(form.data, {
		materialId:
			castables.find((c) => c.id === url.searchParams.get('material'))?.id ?? castables[0]?.id ?? '',
		masterId: mould?.masterId ?? '',
		mouldIds: mould ? [mould.id] : [],
		copies: 1
	});
	return {
		form,
		castables,
		settings: locals.settings,
		masters: masters
			.filter((m) => m.volumeMl !== null)
			.map((m) => ({ id: m.id, name: m.record.name, volumeMl: m.volumeMl!, face: faceOf(m) })),
		moulds: active.map((m) => ({
			id: m.id,
			number: m.number,
			masterId: m.masterId,
			pulls: m.pulls,
			inPour: full.has(m.id),
			...asCastableMould(m, rubbers, thermoplastics)
		}))
	};
};

export const actions: Actions = {
	default: async ({ request, locals }) => {
		const data = await request.formData();
		const form = await superValidate(data, zod4(castableInputs));
		if (!form.valid) return fail(400, { form });
		return attempt(form, async () => {
			const id = await pourCastable(madeId(data), form.data, locals.settings, locals.person);
			redirect(303, `/pour/${id}`);
		});
	}
};
