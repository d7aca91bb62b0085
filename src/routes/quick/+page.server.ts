import { fail, redirect } from '@sveltejs/kit';
import { z } from 'zod';
import { quickInput } from '$lib/core/quick';
import { orFail } from '$lib/server/forms';
import { listResins } from '$lib/server/repositories/materials';
import { keepQuick, pourQuick } from '$lib/server/repositories/quick';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async () => ({ resins: await listResins() });

const sent = z.object({
	id: z.uuid('This page has lost its number: load it again.'),
	do: z.enum(['pour', 'keep'], { error: 'Say whether it is poured or kept.' }),
	asked: z
		.string()
		.max(4000, 'That is too much for one question.')
		.transform((text, ctx) => {
			try {
				return JSON.parse(text) as unknown;
			} catch {
				ctx.addIssue({ code: 'custom', message: 'What was typed did not arrive whole: press again.' });
				return z.NEVER;
			}
		})
		.pipe(quickInput)
});

export const actions: Actions = {
	default: async ({ request, locals }) => {
		const data = await request.formData();
		const form = sent.safeParse(Object.fromEntries(data));
		if (!form.success) return fail(400, { refused: form.error.issues[0]!.message });
		const { id, asked } = form.data;
		const { settings, person } = locals;
		const done = await orFail(
			async () => ({
				made: await (form.data.do === 'pour'
					? pourQuick(id, asked, settings, person)
					: keepQuick(id, asked, settings, person))
			}),
			(refused) => ({ refused })
		);
		if ('made' in done) redirect(303, form.data.do === 'pour' ? `/pour/${done.made}` : `/shots/${done.made}`);
		return done;
	}
};
