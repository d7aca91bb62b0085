import { readBench } from '$lib/server/repositories/bench';
import { dueNow, pourableToday } from '$lib/server/repositories/benchToday';
import type { PageServerLoad } from './$types';

/** Moulds that the front page shows; the rest stands on their own page. */
const SHOWN = 16;

export const load: PageServerLoad = async ({ locals }) => {
	const [bench, { due, out }] = await Promise.all([readBench(SHOWN), dueNow(locals.settings, new Date())]);
	const today = await pourableToday(
		bench.free.map((m) => m.id),
		locals.settings
	);
	return { bench, today, due, out };
};
