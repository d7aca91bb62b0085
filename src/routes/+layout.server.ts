import { runningClocks } from '$lib/server/repositories/pours';
import type { LayoutServerLoad } from './$types';

export const load: LayoutServerLoad = async ({ locals, depends, request }) => {
	depends('bench:clocks');
	// a page on a sheet over another has neither rail nor search of its own
	const framed = request.headers.get('sec-fetch-dest') === 'iframe';
	return {
		settings: locals.settings,
		theme: locals.theme,
		clocks: await runningClocks(),
		nowMs: Date.now(),
		framed
	};
};
