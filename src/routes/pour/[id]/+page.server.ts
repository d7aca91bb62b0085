import { fail } from '@sveltejs/kit';
import { hasInstruments } from '$lib/server/devices/driver';
import { RefusedError } from '$lib/server/errors';
import { orNotFound } from '$lib/server/forms';
import { getPour, keepSpeed, readEvents } from '$lib/server/repositories/pours';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params }) => {
	const pour = await orNotFound(getPour(params.id));
	return { pour, known: await readEvents(params.id), instruments: await hasInstruments() };
};

export const actions: Actions = {
	/** Keeps the speed that the cup's readings taught for the tin it came from. */
	keep: async ({ params }) => {
		try {
			return { speed: await orNotFound(keepSpeed(params.id)) };
		} catch (error) {
			if (error instanceof RefusedError) return fail(400, { refused: error.message });
			throw error;
		}
	}
};
