import type { PageLoad } from './$types';

/** The question of the first hour is sent to a workshop that has nothing yet; a bench that works does without its script. */
export const load: PageLoad = async ({ data }) => ({
	...data,
	WhatToMix: data.fresh ? (await import('$lib/ui/quick/WhatToMix.svelte')).default : undefined
});
