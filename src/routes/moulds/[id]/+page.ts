import type { PageLoad } from './$types';

/** How it is made is the page of a mould that is not poured yet; of any other it is fetched once the page stands. */
export const load: PageLoad = async ({ data }) => ({
	...data,
	HowMade: data.planned ? (await import('$lib/ui/mould/HowMade.svelte')).default : undefined
});
