import { json } from '@sveltejs/kit';
import { readBytes } from '$lib/server/body';
import { answerFor, RefusedError } from '$lib/server/errors';
import { MAX_PHOTO_BYTES, savePhoto } from '$lib/server/repositories/photos';
import type { RequestHandler } from './$types';

/** Keeps a picture once by its content; the body is the picture itself, JPEG, PNG or WebP. */
export const POST: RequestHandler = async ({ request, locals }) => {
	try {
		const bytes = await readBytes(request, MAX_PHOTO_BYTES);
		if (!bytes) throw new RefusedError('The photo is larger than 8 MB.', 'photo');
		return json({ id: await savePhoto(Buffer.from(bytes), undefined, locals.person) });
	} catch (error) {
		const answer = answerFor(error);
		if (!answer) throw error;
		return json({ errors: answer.errors }, { status: answer.status });
	}
};
