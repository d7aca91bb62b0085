import { redirect } from '@sveltejs/kit';
import { z } from 'zod';
import { asked, from } from '$lib/server/people/asked';
import { keepSession } from '$lib/server/people/gate';
import { isAnybody, pairDevice } from '$lib/server/repositories/people';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
	if (!locals.wantsSignIn) redirect(303, '/');
	if (!(await isAnybody())) redirect(303, '/sign-in/first');
};

const pairing = z.object({
	code: z
		.string()
		.trim()
		.min(1, 'Type the code that the other device shows.')
		.max(40, 'The code is shorter than that.'),
	device: z
		.string()
		.trim()
		.min(1, 'Say what this device is called, such as bench tablet.')
		.max(60, 'Keep it under 60 characters.')
});

export const actions: Actions = {
	default: (event) =>
		asked(event, pairing, ['code'], async ({ code, device }) => {
			keepSession(event, await pairDevice(code, { ...from(event), device }));
			redirect(303, '/');
		})
};
