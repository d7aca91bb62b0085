import { json } from '@sveltejs/kit';
import { z } from 'zod';
import { fieldErrors } from '$lib/core/fieldErrors';
import { makingEvent } from '$lib/core/making';
import { readJson } from '$lib/server/body';
import { NotFoundError } from '$lib/server/errors';
import { addMakingEvents, getMaking, readMakingEvents } from '$lib/server/repositories/makings';
import type { RequestHandler } from './$types';

const body = z.strictObject({ events: z.array(makingEvent).max(500, 'At most 500 events at once.') });

async function found<T>(work: Promise<T>): Promise<T | Response> {
	try {
		return await work;
	} catch (error) {
		if (!(error instanceof NotFoundError)) throw error;
		return json({ errors: [{ path: '', message: error.message }] }, { status: 404 });
	}
}

/** Events from a sequence number on, for other devices. */
export const GET: RequestHandler = async ({ params, url }) => {
	const after = Number(url.searchParams.get('after') ?? 0);
	const making = await found(getMaking(params.id));
	if (making instanceof Response) return making;
	return json(await readMakingEvents(params.id, Number.isSafeInteger(after) && after > 0 ? after : 0));
};

/** Adds events. Sending one twice is harmless, so a device may send again until it is answered. */
export const POST: RequestHandler = async ({ params, request }) => {
	const read = await readJson(request);
	if (!read.ok) return json({ errors: [{ path: '', message: read.message }] }, { status: read.status });
	const parsed = body.safeParse(read.value);
	if (!parsed.success) return json({ errors: fieldErrors(parsed.error) }, { status: 422 });
	const state = await found(addMakingEvents(params.id, parsed.data.events));
	return state instanceof Response ? state : json({ state });
};
