import { fail, redirect } from '@sveltejs/kit';
import { RefusedError } from '$lib/server/errors';
import { orNotFound } from '$lib/server/forms';
import { getMaster, listMasters } from '$lib/server/repositories/masters';
import { getResin } from '$lib/server/repositories/materials';
import { listMoulds } from '$lib/server/repositories/moulds';
import { beginPour, listPours } from '$lib/server/repositories/pours';
import { getShot } from '$lib/server/repositories/shots';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params }) => {
	const shot = await orNotFound(getShot(params.id));
	const [master, resin, moulds, pours, masters] = await Promise.all([
		getMaster(shot.masterId),
		getResin(shot.resinId),
		listMoulds(),
		listPours({ shotId: params.id }),
		listMasters()
	]);
	const used = moulds.filter((m) => shot.inputs.mouldIds.includes(m.id));
	return {
		shot,
		master: { id: master.id, name: master.record.name },
		resin: { id: resin.id, name: resin.record.name },
		moulds: used.map(({ id, number, label, state }) => ({ id, number, label, state })),
		spares: moulds
			.filter((m) => m.state === 'active' && !shot.inputs.mouldIds.includes(m.id))
			.map((m) => ({
				id: m.id,
				number: m.number,
				label: m.label,
				volumeMl: masters.find((a) => a.id === m.masterId)?.volumeMl ?? 0
			})),
		pours: pours.map(({ id, status, plan }) => ({ id, status, batchIndex: plan.batchIndex }))
	};
};

export const actions: Actions = {
	pour: async ({ params, request, locals }) => {
		const batch = Number((await request.formData()).get('batch'));
		let id: string;
		try {
			id = await beginPour(params.id, batch, locals.settings);
		} catch (error) {
			if (error instanceof RefusedError) return fail(400, { refused: error.message });
			throw error;
		}
		redirect(303, `/pour/${id}`);
	}
};
