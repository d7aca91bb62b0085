import { nextTask } from '$lib/ui/island/waking';
import type { PageLoad } from './$types';

/**
 * How it is made is the page of a mould that is not poured yet; of any other it is fetched once the page stands. Its scripts,
 * with every rule of the planner, run in a task of their own before the page wakes.
 */
export const load: PageLoad = async ({ data }) => {
	if (!data.planned) return { ...data, HowMade: undefined };
	const { default: HowMade } = await import('$lib/ui/mould/HowMade.svelte');
	await nextTask();
	return { ...data, HowMade };
};
