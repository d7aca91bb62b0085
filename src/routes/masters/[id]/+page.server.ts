import { superValidate } from 'sveltekit-superforms';
import { zod4 } from 'sveltekit-superforms/adapters';
import { formFromMaster, masterForm } from '$lib/core/master';
import { faceOf } from '$lib/server/faces';
import { orPage } from '$lib/server/forms';
import { masterFormContext } from '$lib/server/masterContext';
import { masterAction } from '$lib/server/masterAction';
import { getMaster } from '$lib/server/repositories/masters';
import { photosHere } from '$lib/server/repositories/photos';
import { listMoulds } from '$lib/server/repositories/moulds';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params, locals }) => {
	const master = await orPage(getMaster(params.id));
	const [form, moulds, context, pictures] = await Promise.all([
		superValidate(formFromMaster(master.record), zod4(masterForm)),
		listMoulds({ masterId: params.id }),
		masterFormContext(),
		photosHere(master.record.shape?.pictured?.photoIds ?? [])
	]);
	form.data.waterTempC = locals.settings.roomTempC;
	return { form, master, face: faceOf(master), moulds, pictures, ...context };
};

export const actions: Actions = {
	default: async (event) => {
		const { form, failure } = await masterAction(event, event.params.id);
		return failure ?? { form };
	}
};
