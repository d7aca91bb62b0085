import { json, type RequestHandler } from '@sveltejs/kit';
import { z } from 'zod';
import { readJson } from './body';
import { orJson } from './forms';

interface Kept<E> {
	event: z.ZodType<E>;
	/** @throws NotFoundError when there is no such work */
	find: (id: string) => Promise<unknown>;
	read: (id: string, after: number) => Promise<unknown>;
	add: (id: string, events: readonly E[]) => Promise<unknown>;
}

/**
 * The two ways that a bench talks to the server: events from a sequence number on, for other devices; and
 * adding events, where sending one twice is harmless, so that a device may send again until it is answered.
 */
export function eventRoutes<E>(kept: Kept<E>): Record<'GET' | 'POST', RequestHandler<{ id: string }>> {
	const body = z.strictObject({ events: z.array(kept.event).max(500, 'At most 500 events at once.') });
	return {
		GET: ({ params, url }) =>
			orJson(async () => {
				const after = Number(url.searchParams.get('after') ?? 0);
				await kept.find(params.id);
				return json(await kept.read(params.id, Number.isSafeInteger(after) && after > 0 ? after : 0));
			}),
		POST: ({ params, request }) =>
			orJson(async () => {
				const read = await readJson(request);
				if (!read.ok) return json({ errors: read.errors }, { status: read.status });
				const { events } = body.parse(read.value);
				return json({ state: await kept.add(params.id, events) });
			})
	};
}
