import { Zip, ZipDeflate, ZipPassThrough } from 'fflate';
import type { RequestHandler } from '@sveltejs/kit';
import { log } from '$lib/server/log';
import { backupFiles, writeBackup } from '$lib/server/repositories/backup';

/** The whole workshop with its pictures and 3D files, packed while it is sent. */
export const GET: RequestHandler = () => {
	const text = new TextEncoder();
	let stopped = false;
	const stream = new ReadableStream<Uint8Array>(
		{
			start(controller) {
				const zip = new Zip((error, piece, last) => {
					if (stopped) return;
					if (error) controller.error(error);
					else controller.enqueue(piece);
					if (last) controller.close();
				});
				/** The reader sets the pace: nothing piles up in memory. */
				const room = async () => {
					while (!stopped && (controller.desiredSize ?? 1) <= 0) await new Promise((r) => setTimeout(r, 5));
				};
				const pack = async () => {
					const book = new ZipDeflate('workshop.json', { level: 6 });
					zip.add(book);
					for await (const piece of writeBackup(new Date())) {
						if (stopped) return;
						book.push(text.encode(piece), false);
						await room();
					}
					book.push(new Uint8Array(0), true);
					for await (const { name, bytes } of backupFiles()) {
						if (stopped) return;
						const file = new ZipPassThrough(name);
						zip.add(file);
						file.push(bytes, true);
						await room();
					}
					zip.end();
				};
				pack().catch((error: unknown) => {
					log.error({ err: error }, 'the book could not be written');
					if (!stopped) controller.error(error);
				});
			},
			cancel() {
				stopped = true;
			}
		},
		{ highWaterMark: 16 }
	);
	return new Response(stream, {
		headers: {
			'content-type': 'application/zip',
			'content-disposition': 'attachment; filename="workshop.zip"',
			'cache-control': 'no-store'
		}
	});
};
