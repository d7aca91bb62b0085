import { json, type RequestHandler } from '@sveltejs/kit';
import { postedReading } from '$lib/core/devices';
import { fieldErrors } from '$lib/core/fieldErrors';
import { readJson } from '$lib/server/body';
import { instrumentOf, keepReading } from '$lib/server/repositories/instruments';

const refuse = (message: string, status: number) => json({ errors: [{ path: '', message }] }, { status });

/** An instrument tells what it reads: `Authorization: Bearer TOKEN`, `{ value, second?, settled? }`. */
export const POST: RequestHandler = async ({ request }) => {
	const [, token] = /^Bearer (\S{10,100})$/.exec(request.headers.get('authorization') ?? '') ?? [];
	if (!token) return refuse('Send the token of this instrument: Authorization: Bearer …', 401);
	const read = await readJson(request);
	if (!read.ok) return json({ errors: read.errors }, { status: read.status });
	const parsed = postedReading.safeParse(read.value);
	if (!parsed.success) return json({ errors: fieldErrors(parsed.error) }, { status: 422 });
	const instrument = await instrumentOf(token);
	if (!instrument)
		return refuse('No instrument has this token, or it was revoked: make a new one in the settings.', 401);
	await keepReading(instrument.id, parsed.data);
	return json({ kept: { kind: instrument.kind, ...parsed.data } });
};
