import { z } from 'zod';
import { codeShown, newPerson, RIGHTS } from '$lib/core/people';
import { asked } from '$lib/server/people/asked';
import { listDeeds, note } from '$lib/server/people/audit';
import { endSession, listSessions } from '$lib/server/people/sessions';
import { addPerson, letGo, listPeople, resetCode, setRight } from '$lib/server/repositories/people';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
	const [people, sessions, deeds] = await Promise.all([listPeople(), listSessions(), listDeeds()]);
	return { people, sessions, deeds, here: locals.person?.sessionId ?? '', wantsSignIn: locals.wantsSignIn };
};

const one = z.object({ id: z.string().min(1).max(40) });

export const actions: Actions = {
	add: (event) =>
		asked(event, newPerson, [], async (person) => {
			const { code } = await addPerson(person, event.locals.person);
			return { for: person.name, code: codeShown(code) };
		}),
	right: (event) =>
		asked(event, one.extend({ right: z.enum(RIGHTS) }), [], async ({ id, right }) => {
			await setRight(id, right, event.locals.person);
			return { done: true };
		}),
	code: (event) =>
		asked(event, one.extend({ name: z.string().max(60).default('') }), [], async ({ id, name }) => ({
			for: name,
			code: codeShown(await resetCode(id, event.locals.person))
		})),
	leave: (event) =>
		asked(event, one, [], async ({ id }) => {
			await letGo(id, event.locals.person);
			return { done: true };
		}),
	end: (event) =>
		asked(event, one, [], async ({ id }) => {
			if (await endSession(id)) await note(event.locals.person, 'session-ended', '');
			return { done: true };
		})
};
