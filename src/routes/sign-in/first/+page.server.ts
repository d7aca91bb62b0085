import { redirect } from '@sveltejs/kit';
import { z } from 'zod';
import { passphrase, personRecord } from '$lib/core/people';
import { asked, from } from '$lib/server/people/asked';
import { keepSession } from '$lib/server/people/gate';
import { isAnybody, makeFirst } from '$lib/server/repositories/people';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
	if (!locals.wantsSignIn) redirect(303, '/');
	if (await isAnybody()) redirect(303, '/sign-in');
};

const first = personRecord.extend({
	code: z
		.string()
		.trim()
		.min(1, 'Type the code that the server shows.')
		.max(40, 'The code is shorter than that.'),
	passphrase
});

export const actions: Actions = {
	default: (event) =>
		asked(event, first, ['passphrase', 'code'], async ({ code, passphrase: chosen, ...person }) => {
			keepSession(event, await makeFirst(code, person, chosen, from(event)));
			redirect(303, '/');
		})
};
