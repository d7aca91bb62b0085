import { fail } from '@sveltejs/kit';
import { orFail } from '$lib/server/forms';
import { asker } from '$lib/server/heavy/asker';
import { heavy } from '$lib/server/heavy/pool';
import { importPulls } from '$lib/server/repositories/ledgerCorrections';
import { mouldNames } from '$lib/server/repositories/moulds';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async () => ({ moulds: (await mouldNames()).map((m) => m.number) });

export const actions: Actions = {
	/** All of it, or nothing: every row is read again here. */
	default: async (event) => {
		const data = await event.request.formData();
		const text = String(data.get('notebook'));
		const moulds = (await mouldNames()).map((m) => m.number);
		return orFail(
			async () => {
				const { units } = event.locals.settings;
				const read = await heavy('notebook', { text, moulds, nowMs: Date.now(), units }, asker(event, data));
				if (!read.ok) return fail(400, { refused: read.errors[0].message });
				const { entry, pulls, wrong, wrongCount } = read.value;
				if (wrongCount > 0)
					return fail(400, { refused: `Nothing was taken: ${wrongCount} things are wrong.`, errors: wrong });
				return { brought: await importPulls(entry, pulls, event.locals.person) };
			},
			(refused) => ({ refused })
		);
	}
};
