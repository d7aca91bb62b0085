import { redirect } from '@sveltejs/kit';
import { z } from 'zod';
import { asked, from } from '$lib/server/people/asked';
import { dropSession, keepSession, whereTo } from '$lib/server/people/gate';
import { note } from '$lib/server/people/audit';
import { endSession } from '$lib/server/people/sessions';
import { isAnybody, signIn } from '$lib/server/repositories/people';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, url }) => {
	if (!locals.wantsSignIn) redirect(303, '/');
	if (locals.person) redirect(303, whereTo(url));
	if (!(await isAnybody())) redirect(303, '/sign-in/first');
};

const typedIn = z.object({
	who: z.string().trim().min(1, 'Type your name or your mark.').max(120, 'That is too long for a name.'),
	passphrase: z.string().min(1, 'Type your passphrase.').max(1000, 'That is too long for a passphrase.')
});

export const actions: Actions = {
	in: (event) =>
		asked(event, typedIn, ['passphrase'], async ({ who, passphrase }) => {
			keepSession(event, await signIn(who, passphrase, from(event)));
			redirect(303, whereTo(event.url));
		}),
	out: async (event) => {
		const { person } = event.locals;
		if (person?.sessionId) {
			await endSession(person.sessionId);
			await note(person, 'signed-out', '');
		}
		dropSession(event);
		redirect(303, '/sign-in');
	}
};
