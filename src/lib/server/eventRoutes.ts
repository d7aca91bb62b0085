import { json, type RequestHandler } from '@sveltejs/kit';
import { z } from 'zod';
import { fieldErrors } from '$lib/core/fieldErrors';
import { readJson } from './body';
import { NotFoundError } from './errors';

interface Kept<E> {
	event: z.ZodType<E>;
	/** @throws NotFoundError when there is no such work */
	find: (id: string) => Promise<unknown>;
	read: (id: string, after: number) => Promise<unknown>;
	add: (id: string, events: readonly E[]) => Promise<unknown>;
}

async function found<T>(work: Promise<T>): Promise<T | Response> {
	try {
		return await work;
	} catch (error) {
		if (!(error instanceof NotFoundError)) throw error;
		return json({ errors: [{ path: '', message: error.message }] }, { status: 404 });
	}
}

/**
 * The two ways that a bench talks to the server: events from a sequence number on, for other devices; and
 * adding events, where sending one twice is harmless, so that a device may send again until it is answered.
 */
export function eventRoutes<E>(kept: Kept<E>): Record<'GET' | 'POST', RequestHandler<{ id: string }>> {
	const body = z.strictObject({ events: z.array(kept.event).max(500, 'At most 500 events at once.') });
	return {
		GET: async ({ params, url }) => {
			const after = Number(url.searchParams.get('after') ?? 0);
			const thing = await found(kept.find(params.id));
			if (thing instanceof Response) return thing;
			return json(await kept.read(params.id, Number.isSafeInteger(after) && after > 0 ? after : 0));
		},
		POST: async ({ params, request }) => {
			const read = await readJson(request);
			if (!read.ok) return json({ errors: read.errors }, { status: read.status });
			const parsed = body.safeParse(read.value);
			if (!parsed.success) return json({ errors: fieldErrors(parsed.error) }, { status: 422 });
			const state = await found(kept.add(params.id, parsed.data.events));
			return state instanceof Response ? state : json({ state });
		}
	};
}
