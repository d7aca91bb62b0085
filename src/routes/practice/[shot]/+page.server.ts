import { lessonPlan } from '$lib/core/practice';
import { orPage } from '$lib/server/forms';
import { batchPlans } from '$lib/server/repositories/shots';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params, locals }) => {
	if (params.shot === 'lesson') return { plan: lessonPlan(locals.settings) };
	const plans = batchPlans(params.shot, 0, locals.settings);
	return { plan: (await orPage(plans, 'This shot cannot be practised: ')).now };
};
