import { fail, redirect, type RequestEvent } from '@sveltejs/kit';
import { message, superValidate } from 'sveltekit-superforms';
import { zod4 } from 'sveltekit-superforms/adapters';
import {
	colourSheet,
	fillerSheet,
	resinSheet,
	rubberSheet,
	thermoplasticSheet,
	withUsual,
	type SheetKind
} from '$lib/core/shelf';
import type { MaterialKind } from './db/models';
import { attempt, madeId } from './forms';
import { MATERIAL_SCHEMAS, saveMaterial } from './repositories/materials';

/** Forms of which something may be left empty; the others are their records. */
const SHEETS = {
	resin: resinSheet,
	rubber: rubberSheet,
	filler: fillerSheet,
	colour: colourSheet,
	thermoplastic: thermoplasticSheet
} as const satisfies Record<SheetKind, unknown>;
const isSheet = (kind: MaterialKind): kind is SheetKind => Object.hasOwn(SHEETS, kind);

/**
 * Saves a material of the shelf from its page: `/shelf/<kind>s/new` or `/shelf/<kind>s/<id>?version=…`.
 * What its sheet does not say is kept as usual for its kind, and marked so. A new one goes on to its own page; a
 * change by somebody else in the meantime is said, nothing is lost.
 */
export async function materialAction<K extends MaterialKind>(event: RequestEvent<{ id: string }>, kind: K) {
	// the schema of a kind is only known when it is chosen; its output is what is saved under it
	const schema = (isSheet(kind) ? SHEETS[kind] : MATERIAL_SCHEMAS[kind]) as Parameters<typeof zod4>[0];
	const data = await event.request.formData();
	const form = await superValidate(data, zod4(schema));
	if (!form.valid) return fail(400, { form });
	const { id } = event.params;
	return attempt(form, async () => {
		const version = Number(event.url.searchParams.get('version'));
		const typed = form.data as Record<string, unknown>;
		const record = MATERIAL_SCHEMAS[kind].parse(isSheet(kind) ? withUsual(kind, typed) : typed);
		const saved = await saveMaterial(kind, record, {
			...(id === 'new' ? { id: madeId(data) } : { id, version }),
			actor: event.locals.person
		});
		if (id === 'new') redirect(303, `/shelf/${kind}s/${saved}`);
		return message(form, 'Kept.');
	});
}
