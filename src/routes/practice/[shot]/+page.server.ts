import { lessonPlan } from '$lib/core/practice';
import { RefusedError } from '$lib/server/errors';
import { orNotFound } from '$lib/server/forms';
import { batchPlans } from '$lib/server/repositories/shots';
import { error } from '@sveltejs/kit';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params, locals }) => {
	if (params.shot === 'lesson') return { plan: lessonPlan(locals.settings) };
	try {
		return { plan: (await orNotFound(batchPlans(params.shot, 0, locals.settings))).now };
	} catch (e) {
		if (e instanceof RefusedError) error(409, `This shot cannot be practised: ${e.message}`);
		throw e;
	}
};
