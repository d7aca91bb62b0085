import { log } from '../log';
import { DRIVERS } from './driver';

/** How often instruments are looked at, ms. */
const READ_EVERY_MS = 250;
/** A stream ends by itself after so long; the browser opens the next one. */
const STREAM_FOR_MS = 10 * 60_000;

/** Streams that are open, so that a server that is stopped does not wait for them. */
const open = new Set<() => void>();
for (const signal of ['SIGTERM', 'SIGINT'] as const)
	process.once(signal, () => open.forEach((close) => close()));

/**
 * Readings of the workshop's instruments, as server-sent events, each with its age: the clock of a tablet may be off.
 * Nothing about an instrument lives in this process, so a second one answers the same.
 */
export function deviceStream(): ReadableStream {
	const text = new TextEncoder();
	let timer: ReturnType<typeof setInterval> | undefined;
	const openedMs = Date.now();
	let close = () => {};
	const stop = () => {
		clearInterval(timer);
		open.delete(close);
	};
	return new ReadableStream({
		start(controller) {
			let reading = false;
			close = () => {
				stop();
				try {
					controller.close();
				} catch {
					// its reader had gone already
				}
			};
			open.add(close);
			controller.enqueue(text.encode('retry: 700\n\n'));
			const tick = async () => {
				if (reading) return;
				if (Date.now() - openedMs > STREAM_FOR_MS) {
					close();
					return;
				}
				reading = true;
				try {
					const all = (await Promise.all(DRIVERS.map((d) => d.read()))).flat();
					const nowMs = Date.now();
					const aged = all.map(({ atMs, ...r }) => ({ ...r, ageMs: Math.max(0, nowMs - atMs) }));
					controller.enqueue(text.encode(`data: ${JSON.stringify(aged)}\n\n`));
				} catch (error) {
					// the database is away, which the bench notices as silence; or the reader is
					log.warn({ err: error }, 'instruments could not be read');
				} finally {
					reading = false;
				}
			};
			void tick();
			timer = setInterval(() => void tick(), READ_EVERY_MS);
		},
		cancel: stop
	});
}
