import { error } from '@sveltejs/kit';
import { readPhoto } from '$lib/server/repositories/photos';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = async ({ params, request }) => {
	const photo = await readPhoto(params.id);
	if (!photo) error(404, 'There is no such photo.');
	const etag = `"${photo.sha256}"`;
	if (request.headers.get('if-none-match') === etag) return new Response(null, { status: 304 });
	return new Response(new Uint8Array(photo.bytes), {
		headers: {
			'content-type': photo.mime,
			'cache-control': 'private, max-age=31536000, immutable',
			'content-security-policy': "default-src 'none'",
			etag
		}
	});
};
