import { pictureActions } from '$lib/server/pictureActions';
import { faceOf } from '$lib/server/faces';
import { getMaster } from '$lib/server/repositories/masters';
import { fail, redirect } from '@sveltejs/kit';
import { superValidate } from 'sveltekit-superforms';
import { zod4 } from 'sveltekit-superforms/adapters';
import {
	costOf,
	mouldInputs,
	MOULD_MODULES,
	MOULD_STATES,
	nextMouldStates,
	type MouldState
} from '$lib/core/mould';
import { attempt, orFail, orPage } from '$lib/server/forms';
import { mouldContext } from '$lib/server/mouldContext';
import { pourableInto } from '$lib/server/pourable';
import { mouldWear } from '$lib/server/repositories/wear';
import { pullLine } from '$lib/core/ledger';
import { listPulls } from '$lib/server/repositories/ledger';
import { beginMaking, cutsOfMaking, weighedInMaking } from '$lib/server/repositories/makings';
import { getMould, pourRubber, saveMould, setMouldState } from '$lib/server/repositories/moulds';
import { listPictures } from '$lib/server/repositories/pictures';
import type { Actions, PageServerLoad } from './$types';

const LAST_PULLS = 8;

export const load: PageServerLoad = async ({ params, locals }) => {
	const mould = await orPage(getMould(params.id));
	const [form, context, pulls, photos, cuts, weighed, master] = await Promise.all([
		superValidate(mould.inputs, zod4(mouldInputs)),
		mouldContext(),
		listPulls({ mouldId: params.id }, { offset: 0, limit: LAST_PULLS }),
		listPictures('mould', params.id),
		mould.making ? cutsOfMaking(params.id) : [],
		mould.making ? weighedInMaking(params.id) : [],
		getMaster(mould.masterId)
	]);
	const standing = ['active', 'resting', 'worn', 'retired'].includes(mould.state);
	const [wear, pourable] = standing
		? await Promise.all([mouldWear(mould), pourableInto(mould, context.shelf)])
		: [undefined, []];
	return {
		form,
		mould,
		pourable,
		/** It is a plan, or on its way from one: how it is made is what is looked at. */
		planned: !standing && !(mould.state === 'new' && mould.pouredAt),
		wear: wear && {
			forecast: wear.forecast,
			inspections: wear.inspections,
			advice: wear.advice,
			successorByMs: wear.successorByMs
		},
		face: faceOf(master),
		...context,
		pulls: { total: pulls.total, pulls: pulls.pulls.map(pullLine) },
		photos,
		cuts,
		weighed,
		settings: locals.settings,
		/** Left in cups when it is mixed as planned, g. */
		wasteG: costOf(mould.plan, {}, mould.inputs.lossPercent).wasteG,
		/** Why no resin goes into it at all; empty where one does. */
		refuses: MOULD_MODULES[mould.inputs.kind].refusesResin,
		next: nextMouldStates(mould.state)
	};
};

/** A move in the mould's life; what the records do not allow comes back as a sentence. */
const move = (work: () => Promise<void>) => orFail(work, (refused) => ({ refused }));

export const actions: Actions = {
	save: async ({ request, params, url, locals }) => {
		const form = await superValidate(request, zod4(mouldInputs));
		if (!form.valid) return fail(400, { form });
		return attempt(form, async () => {
			const version = Number(url.searchParams.get('version'));
			await saveMould(form.data, { id: params.id, version, actor: locals.person });
			return { form };
		});
	},
	pour: async ({ params, request, locals }) => {
		const data = await request.formData();
		return move(() => pourRubber(params.id, Number(data.get('version')), new Date(), locals.person));
	},
	make: async ({ params, locals }) => {
		const refused = await move(() => beginMaking(params.id, locals.settings, locals.person));
		return refused ?? redirect(303, `/moulds/${params.id}/make`);
	},
	state: async ({ params, request, locals }) => {
		const data = await request.formData();
		const state = String(data.get('state')) as MouldState;
		if (!MOULD_STATES.includes(state)) return fail(400, { refused: 'A mould has no such state.' });
		return move(() => setMouldState(params.id, Number(data.get('version')), state, { actor: locals.person }));
	},
	...pictureActions('mould')
};
