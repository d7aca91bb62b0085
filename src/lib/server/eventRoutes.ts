import { json, type RequestHandler } from '@sveltejs/kit';
import { z } from 'zod';
import { readJson } from './body';
import { RefusedError } from './errors';
import { orJson } from './forms';
import type { Sender } from './repositories/benchEvents';

interface Kept<E> {
	event: z.ZodType<E>;
	/** @throws NotFoundError when there is no such work */
	find: (id: string) => Promise<unknown>;
	read: (id: string, after: number) => Promise<object>;
	add: (id: string, events: readonly E[], from: Sender) => Promise<unknown>;
}

/**
 * The two ways that a bench talks to the server: events from a sequence number on, for other devices; and
 * adding events, where sending one twice is harmless, so that a device may send again until it is answered.
 */
export function eventRoutes<E extends { atMs: number }>(
	kept: Kept<E>
): Record<'GET' | 'POST', RequestHandler<{ id: string }>> {
	const body = z.strictObject({
		events: z.array(kept.event).max(500, 'At most 500 events at once.'),
		/** The device's clock as it sends them. */
		sentAtMs: z.number().int().min(0).max(8.64e15).optional()
	});
	return {
		GET: ({ params, url }) =>
			orJson(async () => {
				const after = Number(url.searchParams.get('after') ?? 0);
				await kept.find(params.id);
				const read = await kept.read(params.id, Number.isSafeInteger(after) && after > 0 ? after : 0);
				return json({ ...read, nowMs: Date.now() });
			}),
		POST: ({ params, request, locals }) =>
			orJson(async () => {
				const read = await readJson(request);
				if (!read.ok) return json({ errors: read.errors }, { status: read.status });
				const { events, sentAtMs } = body.parse(read.value);
				const clockOffMs = sentAtMs === undefined ? undefined : Date.now() - sentAtMs;
				const { untilMs = Infinity, device } = locals;
				// a device that is signed out leaves what happened before, and keeps the rest until it is signed in
				const due = events.filter((e) => e.atMs <= untilMs);
				const state = await kept.add(params.id, due, { clockOffMs, device });
				if (due.length < events.length)
					throw new RefusedError(
						'This device is signed out: what happened since waits here.',
						undefined,
						403
					);
				return json({ state, nowMs: Date.now() });
			})
	};
}
