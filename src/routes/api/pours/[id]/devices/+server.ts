import { json, type RequestHandler } from '@sveltejs/kit';
import { z } from 'zod';
import { deviceCommand } from '$lib/core/devices';
import { fieldErrors } from '$lib/core/fieldErrors';
import { readJson } from '$lib/server/body';
import { DRIVERS } from '$lib/server/devices/driver';
import { deviceStream } from '$lib/server/devices/stream';
import { orPage } from '$lib/server/forms';
import { Lines } from '$lib/server/people/rates';
import { getPour } from '$lib/server/repositories/pours';

const body = z.strictObject({
	commands: z.array(deviceCommand).min(1, 'There is nothing to do.').max(100, 'At most 100 commands at once.')
});

/** So many benches of one device listen at once. */
const MOST_LINES = 12;
const lines = new Lines(MOST_LINES);

/** Readings of the workshop's instruments, four times a second. */
export const GET: RequestHandler<{ id: string }> = async ({ params, locals, getClientAddress }) => {
	await orPage(getPour(params.id));
	const close = locals.wantsSignIn ? lines.open(locals.person?.sessionId || getClientAddress()) : () => {};
	if (!close)
		return json(
			{ errors: [{ path: '', message: `This device listens ${MOST_LINES} times already: close a bench.` }] },
			{ status: 429, headers: { 'retry-after': '30' } }
		);
	return new Response(deviceStream(close), {
		headers: { 'content-type': 'text/event-stream', 'cache-control': 'no-store' }
	});
};

/** The scale is zeroed. What else can be done to devices belongs to practice, where they are simulated. */
export const POST: RequestHandler<{ id: string }> = async ({ params, request }) => {
	const read = await readJson(request);
	if (!read.ok) return json({ errors: read.errors }, { status: read.status });
	const parsed = body.safeParse(read.value);
	if (!parsed.success) return json({ errors: fieldErrors(parsed.error) }, { status: 422 });
	await orPage(getPour(params.id));
	if (parsed.data.commands.some((c) => c.kind === 'zero')) await Promise.all(DRIVERS.map((d) => d.zero()));
	return json({ kept: parsed.data.commands.length });
};
