import { fail, redirect } from '@sveltejs/kit';
import { superValidate } from 'sveltekit-superforms';
import { zod4 } from 'sveltekit-superforms/adapters';
import { z } from 'zod';
import { trialRecord } from '$lib/core/shot';
import type { WorkshopSettings } from '$lib/core/workshop';
import { attempt, blank, orFail, orNothing, orPage } from '$lib/server/forms';
import { getMaster, listMasters } from '$lib/server/repositories/masters';
import { getResin } from '$lib/server/repositories/materials';
import { emptyMoulds, listMoulds } from '$lib/server/repositories/moulds';
import { beginPour, PLAN_CHOICES } from '$lib/server/repositories/beginPour';
import { listPours } from '$lib/server/repositories/pours';
import { batchPlans, getShot, type ShotMoved } from '$lib/server/repositories/shots';
import { addTrial, listTrials } from '$lib/server/repositories/trials';
import type { Actions, PageServerLoad } from './$types';

/** In what the first cup is otherwise by today's records; nothing where it holds or its moulds cannot be poured. */
async function movedOf(shotId: string, settings: WorkshopSettings): Promise<ShotMoved | null> {
	return (await orNothing(batchPlans(shotId, 0, settings)))?.moved ?? null;
}

export const load: PageServerLoad = async ({ params, locals }) => {
	const shot = await orPage(getShot(params.id));
	const [master, resin, moulds, empty, moved, pours, masters, trials, trialForm] = await Promise.all([
		getMaster(shot.masterId),
		getResin(shot.resinId),
		listMoulds(),
		emptyMoulds(),
		movedOf(params.id, locals.settings),
		listPours({ shotId: params.id }),
		listMasters(),
		listTrials(shot.masterId),
		superValidate(zod4(trialRecord))
	]);
	const also = shot.planned.also ?? [];
	const used = moulds.filter((m) => shot.inputs.mouldIds.includes(m.id));
	return {
		shot,
		master: { id: master.id, name: master.record.name, volumeMl: master.volumeMl ?? 0 },
		resin: { id: resin.id, name: resin.record.name },
		moulds: used.map(({ id, number, label, state }) => ({ id, number, label, state })),
		also: also.map(({ mouldId, name, masterName, copies, volumeMl }) => ({
			id: mouldId,
			name,
			masterName,
			copies,
			volumeMl
		})),
		moved,
		spares: empty
			.filter((m) => !shot.inputs.mouldIds.includes(m.id) && !also.some((a) => a.mouldId === m.id))
			.flatMap(({ id, number, label, masterId }) => {
				const volumeMl = masters.find((a) => a.id === masterId)?.volumeMl;
				return volumeMl ? [{ id, number, label, volumeMl }] : [];
			}),
		trials,
		trialForm: blank(trialForm, 'addedG', 'massG', 'sat', 'underWaterPercent'),
		pours: pours.map(({ id, status, plan }) => ({ id, status, batchIndex: plan.batchIndex }))
	};
};

export const actions: Actions = {
	pour: async ({ params, request, locals }) => {
		const data = await request.formData();
		const batch = String(data.get('batch') ?? '');
		if (!/^\d{1,4}$/.test(batch)) return fail(400, { refused: 'Say which cup is poured.' });
		const choice = z
			.enum(PLAN_CHOICES)
			.optional()
			.catch(undefined)
			.parse(data.get('plan') ?? undefined);
		const begun = await orFail(
			() => beginPour(params.id, Number(batch), locals.settings, { choice, actor: locals.person }),
			(refused) => ({ refused })
		);
		if ('id' in begun) redirect(303, `/pour/${begun.id}`);
		if ('moved' in begun) return fail(409, { moved: begun.moved, batch: Number(batch) });
		return begun;
	},
	trial: async ({ params, request, url, locals }) => {
		const form = await superValidate(request, zod4(trialRecord));
		const id = z.uuid().safeParse(url.searchParams.get('trial'));
		if (!form.valid || !id.success) return fail(400, { form });
		return attempt(form, async () => {
			const { masterId } = await getShot(params.id);
			await addTrial(id.data, masterId, params.id, form.data, new Date(), locals.person);
			return {
				form: blank(await superValidate(zod4(trialRecord)), 'addedG', 'massG', 'sat', 'underWaterPercent')
			};
		});
	}
};
