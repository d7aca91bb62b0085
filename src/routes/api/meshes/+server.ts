import { json } from '@sveltejs/kit';
import { drain } from '$lib/server/body';
import { answerFor } from '$lib/server/errors';
import { saveMesh } from '$lib/server/repositories/meshes';
import type { RequestHandler } from './$types';

async function* parts(body: ReadableStream<Uint8Array>): AsyncGenerator<Uint8Array> {
	const reader = body.getReader();
	for (;;) {
		const part = await reader.read();
		if (part.done) return;
		yield part.value;
	}
}

/** Keeps a 3D file once by its content; it streams into the database, never whole through the memory. */
export const POST: RequestHandler = async ({ request, url, locals }) => {
	const name = url.searchParams.get('name')?.slice(0, 200) || 'piece';
	if (!request.body)
		return json({ errors: [{ path: 'file', message: 'Send the file as the body.' }] }, { status: 422 });
	const body = parts(request.body);
	try {
		return json(await saveMesh(name, body, locals.person));
	} catch (error) {
		const answer = answerFor(error);
		if (!answer) throw error;
		await body.return(undefined).catch(() => undefined);
		await drain(request.body.locked ? null : request.body);
		return json({ errors: answer.errors }, { status: answer.status });
	}
};
