import { fail } from '@sveltejs/kit';
import { superValidate } from 'sveltekit-superforms';
import { zod4 } from 'sveltekit-superforms/adapters';
import { mouldInputs, MOULD_STATES, nextMouldStates, type MouldState } from '$lib/core/mould';
import { ConflictError, RefusedError } from '$lib/server/errors';
import { attempt, orNotFound } from '$lib/server/forms';
import { listPulls } from '$lib/server/repositories/ledger';
import { listMasters } from '$lib/server/repositories/masters';
import { listExperiences } from '$lib/server/repositories/experiences';
import { listMaterials, listResins, listRubbers } from '$lib/server/repositories/materials';
import { getMould, pourRubber, saveMould, setMouldState } from '$lib/server/repositories/moulds';
import type { Actions, PageServerLoad } from './$types';

const LAST_PULLS = 8;

export const load: PageServerLoad = async ({ params }) => {
	const mould = await orNotFound(getMould(params.id));
	const [form, masters, rubbers, pulls, releases, experiences, resins] = await Promise.all([
		superValidate(mould.inputs, zod4(mouldInputs)),
		listMasters(),
		listRubbers(),
		listPulls({ mouldId: params.id }, { offset: 0, limit: LAST_PULLS }),
		listMaterials('release'),
		listExperiences(),
		listResins()
	]);
	return {
		form,
		mould,
		masters,
		rubbers,
		pulls,
		releases,
		experiences,
		resins,
		next: nextMouldStates(mould.state)
	};
};

/** A move in the mould's life; what the records do not allow comes back as a sentence. */
async function move(work: () => Promise<void>) {
	try {
		await work();
	} catch (error) {
		if (error instanceof RefusedError) return fail(400, { refused: error.message });
		if (error instanceof ConflictError) return fail(409, { refused: error.message });
		throw error;
	}
}

export const actions: Actions = {
	save: async ({ request, params, url }) => {
		const form = await superValidate(request, zod4(mouldInputs));
		if (!form.valid) return fail(400, { form });
		return attempt(form, async () => {
			await saveMould(form.data, { id: params.id, version: Number(url.searchParams.get('version')) });
			return { form };
		});
	},
	pour: async ({ params, request }) => {
		const data = await request.formData();
		return move(() => pourRubber(params.id, Number(data.get('version')), new Date()));
	},
	state: async ({ params, request }) => {
		const data = await request.formData();
		const state = String(data.get('state')) as MouldState;
		if (!MOULD_STATES.includes(state)) return fail(400, { refused: 'A mould has no such state.' });
		return move(() => setMouldState(params.id, Number(data.get('version')), state));
	}
};
