import type { RequestHandler } from '@sveltejs/kit';
import { writeBackup } from '$lib/server/repositories/backup';

/** The whole workshop as one JSON file, without pictures and 3D files. */
export const GET: RequestHandler = ({ locals }) => {
	const pieces = writeBackup(new Date(), locals.person);
	const text = new TextEncoder();
	return new Response(
		new ReadableStream({
			async pull(c) {
				const { value, done } = await pieces.next();
				if (done) c.close();
				else c.enqueue(text.encode(value));
			},
			cancel: () => void pieces.return(undefined)
		}),
		{
			headers: {
				'content-type': 'application/json; charset=utf-8',
				'content-disposition': 'attachment; filename="workshop.json"',
				'cache-control': 'no-store'
			}
		}
	);
};
