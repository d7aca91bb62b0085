import { browser } from '$app/environment';
import { preloadCode } from '$app/navigation';
import { nextTask } from '$lib/ui/island/waking';
import type { LayoutLoad } from './$types';

/** Nothing of this page is awake yet. */
let asleep = browser;

/** At a page's start its scripts run in one task and it wakes in the next: both at once are too long for a slow processor. */
export const load: LayoutLoad = async ({ data }) => {
	if (asleep) {
		asleep = false;
		// what cannot be fetched is said by the page itself
		await preloadCode(location.pathname).catch(() => undefined);
		await nextTask();
	}
	return data;
};
