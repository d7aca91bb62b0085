import { json } from '@sveltejs/kit';
import { fieldErrors } from '$lib/core/fieldErrors';
import { MESH_LIMITS, MeshError, meshQuery } from '$lib/core/mesh';
import { drain, readBytes } from '$lib/server/body';
import { answerFor } from '$lib/server/errors';
import { asker } from '$lib/server/heavy/asker';
import { answerInThread } from '$lib/server/heavy/files';
import type { RequestHandler } from './$types';

const errors = (list: { path: string; message: string }[], status: number) =>
	json({ errors: list }, { status });

/** A 3D file as the raw body; unit, up, pull and name in the query. */
export const POST: RequestHandler = async (event) => {
	const { request, url } = event;
	const query = meshQuery.safeParse(Object.fromEntries(url.searchParams));
	if (!query.success) {
		await drain(request.body);
		return errors(fieldErrors(query.error)!, 422);
	}
	if (!request.headers.get('content-type'))
		return errors(
			[{ path: '', message: 'Say what the body is, in the header content-type: application/octet-stream.' }],
			415
		);
	const bytes = await readBytes(request, MESH_LIMITS.bytes);
	if (!bytes)
		return errors([{ path: '', message: `At most ${MESH_LIMITS.bytes / 1024 ** 2} MB are read here.` }], 413);
	try {
		return json(await answerInThread(bytes, query.data, asker(event)));
	} catch (error) {
		if (error instanceof MeshError) return errors([{ path: 'file', message: error.message }], 422);
		const answer = answerFor(error);
		if (answer) return errors([...answer.errors], answer.status);
		throw error;
	}
};

export const GET: RequestHandler = () =>
	errors(
		[{ path: '', message: 'Send the file as the body of a POST; GET /api/calc lists what may be asked.' }],
		405
	);
