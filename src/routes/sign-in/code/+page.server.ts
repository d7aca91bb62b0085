import { redirect } from '@sveltejs/kit';
import { z } from 'zod';
import { passphrase } from '$lib/core/people';
import { asked, from } from '$lib/server/people/asked';
import { keepSession } from '$lib/server/people/gate';
import { choosePassphrase, isAnybody } from '$lib/server/repositories/people';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
	if (!locals.wantsSignIn) redirect(303, '/');
	if (!(await isAnybody())) redirect(303, '/sign-in/first');
};

const chosen = z.object({
	code: z
		.string()
		.trim()
		.min(1, 'Type the code that you were given.')
		.max(40, 'The code is shorter than that.'),
	passphrase
});

export const actions: Actions = {
	default: (event) =>
		asked(event, chosen, ['passphrase', 'code'], async (typed) => {
			keepSession(event, await choosePassphrase(typed.code, typed.passphrase, from(event)));
			redirect(303, '/');
		})
};
