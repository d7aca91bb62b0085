import { fail, redirect, type RequestEvent } from '@sveltejs/kit';
import { message, superValidate } from 'sveltekit-superforms';
import { zod4 } from 'sveltekit-superforms/adapters';
import type { fillerRecord, resinRecord, rubberRecord } from '$lib/core/shelf';
import { attempt } from './forms';
import { saveMaterial } from './repositories/materials';

/**
 * Saves a material of the shelf from its page: `/shelf/<kind>s/new` or `/shelf/<kind>s/<id>?version=…`.
 * A new one goes on to its own page; a change by somebody else in the meantime is said, nothing is lost.
 */
export async function materialAction(
	event: RequestEvent<{ id: string }>,
	kind: 'resin' | 'rubber' | 'filler',
	schema: typeof resinRecord | typeof rubberRecord | typeof fillerRecord
) {
	const form = await superValidate(event.request, zod4(schema));
	if (!form.valid) return fail(400, { form });
	const { id } = event.params;
	return attempt(form, async () => {
		const version = Number(event.url.searchParams.get('version'));
		const saved = await saveMaterial(kind, form.data, id === 'new' ? undefined : { id, version });
		if (id === 'new') redirect(303, `/shelf/${kind}s/${saved}`);
		return message(form, 'Saved.');
	});
}
