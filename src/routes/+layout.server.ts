import { disk } from '$lib/server/disk';
import { runningClocks } from '$lib/server/repositories/pours';
import type { LayoutServerLoad } from './$types';

/** The disk when it is running out, and nothing otherwise: a page has no use for how much room there is. */
function shortOfRoom(): { freeBytes: number; state: 'low' | 'short' | 'full' } | undefined {
	const now = disk();
	return !now || now.state === 'fine' ? undefined : { freeBytes: now.freeBytes, state: now.state };
}

export const load: LayoutServerLoad = async ({ locals, depends, request }) => {
	depends('bench:clocks');
	// a page on a sheet over another has neither rail nor search of its own
	const framed = request.headers.get('sec-fetch-dest') === 'iframe';
	return {
		settings: locals.settings,
		theme: locals.theme,
		clocks: await runningClocks(),
		nowMs: Date.now(),
		disk: shortOfRoom(),
		framed
	};
};
