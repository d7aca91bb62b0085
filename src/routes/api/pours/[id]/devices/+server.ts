import { json, type RequestHandler } from '@sveltejs/kit';
import { z } from 'zod';
import { deviceCommand } from '$lib/core/devices';
import { fieldErrors } from '$lib/core/fieldErrors';
import { readJson } from '$lib/server/body';
import { deviceStream } from '$lib/server/devices/stream';
import { NotFoundError } from '$lib/server/errors';
import { addCommands } from '$lib/server/repositories/deviceCommands';

const body = z.strictObject({
	commands: z.array(deviceCommand).min(1, 'There is nothing to do.').max(100, 'At most 100 commands at once.')
});

async function orMissing(work: () => Promise<Response>): Promise<Response> {
	try {
		return await work();
	} catch (error) {
		if (!(error instanceof NotFoundError)) throw error;
		return json({ errors: [{ path: '', message: error.message }] }, { status: 404 });
	}
}

/** Readings of scale, gun thermometer, pot gauge and thermo-hygrometer, five times a second. */
export const GET: RequestHandler<{ id: string }> = ({ params, locals }) =>
	orMissing(
		async () =>
			new Response(await deviceStream(params.id, locals.settings.scaleResolutionG), {
				headers: { 'content-type': 'text/event-stream', 'cache-control': 'no-store' }
			})
	);

/** What was done to them; sending it twice changes nothing. */
export const POST: RequestHandler<{ id: string }> = async ({ params, request }) => {
	const read = await readJson(request);
	if (!read.ok) return json({ errors: [{ path: '', message: read.message }] }, { status: read.status });
	const parsed = body.safeParse(read.value);
	if (!parsed.success) return json({ errors: fieldErrors(parsed.error) }, { status: 422 });
	return orMissing(async () => {
		await addCommands(params.id, parsed.data.commands);
		return json({ kept: parsed.data.commands.length });
	});
};
