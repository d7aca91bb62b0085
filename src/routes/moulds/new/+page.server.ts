import { fail, redirect } from '@sveltejs/kit';
import { superValidate } from 'sveltekit-superforms';
import { zod4 } from 'sveltekit-superforms/adapters';
import { MOULD_KINDS, mouldInputs, type MouldKind } from '$lib/core/mould';
import { attempt, madeId } from '$lib/server/forms';
import { mouldContext } from '$lib/server/mouldContext';
import { saveMould } from '$lib/server/repositories/moulds';
import type { Actions, PageServerLoad } from './$types';

/** Usual sizes to begin with (common practice, no source). */
const START = { clearanceMm: 12, coverMm: 12, lossPercent: 4 };

export const load: PageServerLoad = async ({ url, locals }) => {
	const { shelf, others } = await mouldContext();
	const form = await superValidate(zod4(mouldInputs));
	const ask = (name: string) => url.searchParams.get(name) ?? '';
	const before = others.find((o) => o.id === ask('after'));
	const master = shelf.masters.find((m) => m.id === (before?.masterId ?? ask('master')));
	const kind = MOULD_KINDS.includes(ask('kind') as MouldKind) ? (ask('kind') as MouldKind) : 'one-piece';
	const known = <T extends { id: string }>(list: readonly T[], id: string) =>
		list.find((x) => x.id === id)?.id ?? '';
	Object.assign(form.data, START, {
		kind,
		masterId: master?.id ?? '',
		label: master?.record.name.slice(0, 100) ?? '',
		predecessorId: before?.id ?? '',
		rubberId: known(shelf.rubbers, ask('rubber')),
		thermoplasticId: known(shelf.thermoplastics, ask('thermoplastic')),
		pourResinId: known(shelf.resins, ask('resin')),
		roomTempC: locals.settings.roomTempC
	});
	return { form, shelf, others, settings: locals.settings };
};

export const actions: Actions = {
	default: async ({ request, locals }) => {
		const data = await request.formData();
		const form = await superValidate(data, zod4(mouldInputs));
		if (!form.valid) return fail(400, { form });
		return attempt(form, async () => {
			const id = await saveMould(form.data, { id: madeId(data), actor: locals.person });
			redirect(303, `/moulds/${id}`);
		});
	}
};
