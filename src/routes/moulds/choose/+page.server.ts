import { superValidate } from 'sveltekit-superforms';
import { zod4 } from 'sveltekit-superforms/adapters';
import { chooserInput } from '$lib/core/mould';
import { mouldContext } from '$lib/server/mouldContext';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ url, locals }) => {
	const { shelf } = await mouldContext();
	const form = await superValidate(zod4(chooserInput));
	form.data.masterId = shelf.masters.find((m) => m.id === url.searchParams.get('master'))?.id ?? '';
	form.data.rubberId = shelf.rubbers.find((r) => r.record.use === 'pour')?.id ?? shelf.rubbers[0]?.id ?? '';
	form.data.thermoplasticId = shelf.thermoplastics[0]?.id ?? '';
	return { form, shelf, settings: locals.settings };
};
