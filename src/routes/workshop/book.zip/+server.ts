import { Zip, ZipDeflate, ZipPassThrough } from 'fflate';
import type { RequestHandler } from '@sveltejs/kit';
import { log } from '$lib/server/log';
import { backupFiles, writeBackup } from '$lib/server/repositories/backup';

/** So much is packed at a time, bytes: a few milliseconds of work. */
const BITE_BYTES = 128 * 1024;

function* bites(bytes: Uint8Array): Generator<Uint8Array> {
	for (let at = 0; at < bytes.length; at += BITE_BYTES) yield bytes.subarray(at, at + BITE_BYTES);
}

/** The whole workshop with its pictures and 3D files, packed while it is sent. */
export const GET: RequestHandler = async ({ locals }) => {
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
					// and others are answered between
					await new Promise((r) => setImmediate(r));
					while (!stopped && (controller.desiredSize ?? 1) <= 0) await new Promise((r) => setTimeout(r, 5));
				};
				const pack = async () => {
					const book = new ZipDeflate('workshop.json', { level: 6 });
					zip.add(book);
					for await (const piece of writeBackup(new Date(), locals.person, 'with pictures and 3D files')) {
						for (const bite of bites(text.encode(piece))) {
							if (stopped) return;
							book.push(bite, false);
							await room();
						}
					}
					book.push(new Uint8Array(0), true);
					for await (const { name, bytes } of backupFiles()) {
						if (stopped) return;
						const file = new ZipPassThrough(name);
						zip.add(file);
						for (const bite of bites(bytes)) {
							if (stopped) return;
							file.push(bite, false);
							await room();
						}
						file.push(new Uint8Array(0), true);
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
