import { disk } from '$lib/server/disk';
import { listPeople } from '$lib/server/repositories/people';
import { runningClocks } from '$lib/server/repositories/pours';
import type { LayoutServerLoad } from './$types';

/** The disk when it is running out, and nothing otherwise: a page has no use for how much room there is. */
function shortOfRoom(): { freeBytes: number; state: 'low' | 'short' | 'full' } | undefined {
	const now = disk();
	return !now || now.state === 'fine' ? undefined : { freeBytes: now.freeBytes, state: now.state };
}

export const load: LayoutServerLoad = async ({ locals, request }) => {
	// a page on a sheet over another has neither rail nor search of its own
	const framed = request.headers.get('sec-fetch-dest') === 'iframe';
	/** Somebody who is not known sees the page that asks who they are, and nothing of the workshop. */
	const isStranger = locals.wantsSignIn && locals.person === null;
	return {
		person: locals.person && {
			name: locals.person.name,
			mark: locals.person.mark,
			right: locals.person.right
		},
		marks: locals.person ? (await listPeople()).map(({ name, mark }) => ({ name, mark })) : [],
		settings: locals.settings,
		theme: locals.theme,
		clocks: isStranger ? [] : await runningClocks(),
		nowMs: Date.now(),
		disk: isStranger ? undefined : shortOfRoom(),
		framed,
		isStranger
	};
};
