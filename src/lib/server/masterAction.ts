import type { RequestEvent } from '@sveltejs/kit';
import { superValidate } from 'sveltekit-superforms';
import { zod4 } from 'sveltekit-superforms/adapters';
import { fail } from '@sveltejs/kit';
import { masterForm, masterFromForm } from '$lib/core/master';
import { inTransaction } from './db/connection';
import { attempt, madeId } from './forms';
import { getMaster, saveMaster } from './repositories/masters';
import { savePhoto } from './repositories/photos';

/** Saves the master of a form, new or known, with its photo in the same transaction. Returns its id. */
export async function masterAction(event: RequestEvent, id?: string) {
	const data = await event.request.formData();
	const form = await superValidate(data, zod4(masterForm));
	if (!form.valid) return { form, failure: fail(400, { form }) };
	const photo = data.get('photo');
	const outcome = await attempt(form, async () => {
		const existing = id === undefined ? undefined : await getMaster(id);
		const version = Number(event.url.searchParams.get('version') ?? existing?.version);
		return inTransaction(async (transaction) => {
			const photoId =
				photo instanceof File && photo.size > 0
					? await savePhoto(Buffer.from(await photo.arrayBuffer()), transaction)
					: (existing?.photoId ?? null);
			return saveMaster(masterFromForm(form.data, existing?.record), photoId, {
				...(existing ? { id: existing.id, version } : { id: madeId(data) }),
				transaction,
				actor: event.locals.person
			});
		});
	});
	return typeof outcome === 'string' ? { form, id: outcome } : { form, failure: outcome };
}
