import { orPage } from '$lib/server/forms';
import { streamMesh } from '$lib/server/repositories/meshes';
import type { RequestHandler } from './$types';

/** A kept 3D file, streamed back piece by piece. Its address is its content, so it never changes. */
export const GET: RequestHandler = async ({ params }) => {
	const { mesh, body } = await orPage(streamMesh(params.sha256));
	return new Response(body, {
		headers: {
			'content-type': 'application/octet-stream',
			'content-length': String(mesh.sizeBytes),
			'content-disposition': `attachment; filename*=UTF-8''${encodeURIComponent(mesh.fileName)}`,
			'cache-control': 'private, max-age=31536000, immutable'
		}
	});
};
