import { fail } from '@sveltejs/kit';
import { fieldErrors } from '$lib/core/fieldErrors';
import { importInput, readNotebook } from '$lib/core/ledger';
import { orFail } from '$lib/server/forms';
import { importPulls } from '$lib/server/repositories/ledgerCorrections';
import { mouldNames } from '$lib/server/repositories/moulds';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async () => ({ moulds: (await mouldNames()).map((m) => m.number) });

export const actions: Actions = {
	/** All of it, or nothing: every row is read again here. */
	default: async ({ request, locals }) => {
		const data = await request.formData();
		let typed: unknown;
		try {
			typed = JSON.parse(String(data.get('notebook')));
		} catch {
			return fail(400, { refused: 'The notebook could not be read: choose the file again.' });
		}
		const input = importInput.safeParse(typed);
		if (!input.success)
			return fail(400, { refused: fieldErrors(input.error)?.[0]?.message ?? 'It could not be read.' });
		const moulds = new Set((await mouldNames()).map((m) => m.number));
		const { pulls, errors } = readNotebook(input.data, {
			moulds,
			nowMs: Date.now(),
			units: locals.settings.units
		});
		if (errors.length > 0)
			return fail(400, {
				refused: `Nothing was taken: ${errors.length} things are wrong.`,
				errors: errors.slice(0, 200)
			});
		return orFail(
			async () => ({ brought: await importPulls(input.data.entry, pulls) }),
			(refused) => ({ refused })
		);
	}
};
