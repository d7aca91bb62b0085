import { orNotFound } from '$lib/server/forms';
import { getPour, listPours, readEvents } from '$lib/server/repositories/pours';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params }) => {
	const pour = await orNotFound(getPour(params.id));
	const [known, siblings] = await Promise.all([
		readEvents(params.id),
		listPours({ shotId: pour.plan.shotId })
	]);
	const taken = new Set(siblings.filter((p) => p.status !== 'abandoned').map((p) => p.plan.batchIndex));
	const left = Array.from({ length: pour.plan.batchCount }, (_, i) => i).filter((i) => !taken.has(i)).length;
	return { pour, known, cupsLeft: left };
};
