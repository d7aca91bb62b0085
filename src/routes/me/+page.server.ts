import { fail, redirect } from '@sveltejs/kit';
import QRCode from 'qrcode';
import { z } from 'zod';
import { codeShown, passphrase } from '$lib/core/people';
import { addressOf } from '$lib/server/address';
import { asked } from '$lib/server/people/asked';
import { endSession, listSessions } from '$lib/server/people/sessions';
import { changePassphrase, pairCode } from '$lib/server/repositories/people';
import { RefusedError } from '$lib/server/errors';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
	const { person } = locals;
	if (!person) redirect(303, '/');
	const sessions = (await listSessions()).filter((s) => s.personId === person.id);
	return { sessions, here: person.sessionId };
};

const change = z.object({ old: z.string().min(1, 'Type the one that you have.').max(1000), passphrase });
const one = z.object({ id: z.string().min(1).max(40) });

export const actions: Actions = {
	passphrase: (event) =>
		asked(event, change, ['old', 'passphrase'], async (typed) => {
			const { person } = event.locals;
			if (!person) throw new RefusedError('Nobody signs in here.');
			await changePassphrase(person, typed.old, typed.passphrase, event.getClientAddress());
			return { changed: true };
		}),
	/** Shows a code that signs a tablet in. */
	pair: async ({ locals, url, platform }) => {
		const { person } = locals;
		if (!person?.id) return fail(400, { problems: { '': 'Nobody signs in here.' } });
		const code = await pairCode(person);
		const { base } = addressOf(locals.settings, url, platform);
		const { modules } = QRCode.create(`${base}/sign-in/pair#${code}`, { errorCorrectionLevel: 'M' });
		return {
			pair: {
				code: codeShown(code),
				size: modules.size,
				dark: [...modules.data].map(Number),
				at: `${base}/sign-in/pair`
			}
		};
	},
	/** Ends a session of one's own. */
	end: (event) =>
		asked(event, one, [], async ({ id }) => {
			const own = (await listSessions()).some((s) => s.id === id && s.personId === event.locals.person?.id);
			if (own) await endSession(id);
			return { ended: own };
		})
};
