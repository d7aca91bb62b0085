import { fail, redirect } from '@sveltejs/kit';
import { message, superValidate } from 'sveltekit-superforms';
import { zod4 } from 'sveltekit-superforms/adapters';
import { z } from 'zod';
import { INSPECTION_DEFAULTS, INSPECTED_PARTS, vesselRecord } from '$lib/core/pressurePot';
import { counts } from '$lib/core/bench';
import { doneBy } from '$lib/server/people/acting';
import { attempt, blank, madeId, orPage } from '$lib/server/forms';
import { readEvents } from '$lib/server/repositories/pours';
import { addCycle, addInspection, getVessel, listCycles, saveVessel } from '$lib/server/repositories/vessels';
import type { Actions, PageServerLoad } from './$types';

const name = z.string().trim().min(1, 'Say who.').max(60, 'Keep it under 60 characters.');
const inspectionForm = z.object({
	part: z.enum(INSPECTED_PARTS, { error: 'Choose what was looked at.' }),
	ok: z.enum(['yes', 'no'], { error: 'Choose whether it is sound.' }),
	by: name,
	note: z.string().trim().max(500, 'Keep the note under 500 characters.').default('')
});
const gauge = z
	.number({ error: 'Type the gauge pressure, such as 40 psi.' })
	.min(0, 'A gauge reads from nothing up.')
	.max(2000, 'Over 20 bar: check the unit.');
const cycleForm = z.object({
	load: z.string().trim().min(1, 'Say what was in it.').max(120, 'Keep it under 120 characters.'),
	targetGaugeKpa: gauge,
	lowestGaugeKpa: gauge.optional(),
	timeToPressureS: z
		.number()
		.min(0, 'No less than nothing.')
		.max(36_000, 'Over ten hours: check the unit.')
		.optional(),
	holdS: z.number().min(1, 'It must last.').max(2_000_000, 'Over three weeks: check the unit.').optional(),
	by: name
});

export const load: PageServerLoad = async ({ params, locals }) => {
	if (params.id === 'new') {
		const form = await superValidate(zod4(vesselRecord));
		Object.assign(form.data, {
			kind: 'pot',
			name: '',
			shelvesMm: [undefined],
			dues: structuredClone(INSPECTION_DEFAULTS)
		});
		blank(form, 'volumeL', 'diameterMm');
		return { form, vessel: null, cycles: [], inspectionForm: null, cycleForm: null, held: null };
	}
	const vessel = await orPage(getVessel(params.id));
	const [form, inspecting, cycling, cycles] = await Promise.all([
		superValidate(vessel.record, zod4(vesselRecord)),
		superValidate(zod4(inspectionForm), { id: 'look' }),
		superValidate(zod4(cycleForm), { id: 'cycle' }),
		listCycles(params.id)
	]);
	inspecting.data.by = cycling.data.by = locals.person?.name ?? '';
	const last = cycles.find((c) => c.pourId);
	const events = last?.pourId ? (await readEvents(last.pourId)).events : [];
	return {
		form,
		vessel,
		cycles,
		inspectionForm: blank(inspecting, 'part', 'ok'),
		cycleForm: blank(cycling, 'targetGaugeKpa', 'lowestGaugeKpa', 'timeToPressureS', 'holdS'),
		held: last
			? {
					pourId: last.pourId!,
					at: last.at,
					readings: events.flatMap((e) =>
						e.kind === 'pressure-read' && e.gaugeKpa !== undefined && counts(e)
							? [{ atMs: e.atMs, gaugeKpa: e.gaugeKpa }]
							: []
					)
				}
			: null
	};
};

const uuid = (url: URL) => z.uuid().safeParse(url.searchParams.get('entry'));

export const actions: Actions = {
	save: async ({ request, params, url, locals }) => {
		const data = await request.formData();
		const form = await superValidate(data, zod4(vesselRecord));
		if (!form.valid) return fail(400, { form });
		const isNew = params.id === 'new';
		return attempt(form, async () => {
			const version = Number(url.searchParams.get('version'));
			const id = await saveVessel(form.data, {
				...(isNew ? { id: madeId(data) } : { id: params.id, version }),
				actor: locals.person
			});
			if (isNew) redirect(303, `/pots/${id}`);
			return message(form, 'Kept.');
		});
	},
	inspect: async ({ request, params, url, locals }) => {
		const form = await superValidate(request, zod4(inspectionForm), { id: 'look' });
		const id = uuid(url);
		if (!form.valid || !id.success) return fail(400, { form });
		return attempt(form, async () => {
			const { ok, by, ...rest } = form.data;
			const look = { ...rest, ok: ok === 'yes', by: doneBy(locals, by) };
			await addInspection(params.id, id.data, look, new Date(), locals.person);
			return message(form, 'The look is in the books.');
		});
	},
	cycle: async ({ request, params, url, locals }) => {
		const form = await superValidate(request, zod4(cycleForm), { id: 'cycle' });
		const id = uuid(url);
		if (!form.valid || !id.success) return fail(400, { form });
		const { record } = await getVessel(params.id);
		if (record.ratedGaugeKpa !== undefined && form.data.targetGaugeKpa > record.ratedGaugeKpa) {
			form.errors.targetGaugeKpa = [
				'That is past its rating. If it really stood there, take it out of use and have it tested.'
			];
			form.valid = false;
			return fail(400, { form });
		}
		return attempt(form, async () => {
			const { lowestGaugeKpa, holdS, targetGaugeKpa } = form.data;
			const leakKpaPerMin =
				lowestGaugeKpa !== undefined && holdS ? ((targetGaugeKpa - lowestGaugeKpa) * 60) / holdS : undefined;
			await addCycle(
				params.id,
				id.data,
				{
					...form.data,
					by: doneBy(locals, form.data.by),
					...(leakKpaPerMin === undefined ? {} : { leakKpaPerMin })
				},
				new Date(),
				locals.person
			);
			return message(form, 'The cycle is in the books.');
		});
	}
};
