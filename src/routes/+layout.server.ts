import { runningClocks } from '$lib/server/repositories/pours';
import type { LayoutServerLoad } from './$types';

export const load: LayoutServerLoad = async ({ locals, depends }) => {
	depends('bench:clocks');
	return { settings: locals.settings, theme: locals.theme, clocks: await runningClocks(), nowMs: Date.now() };
};
