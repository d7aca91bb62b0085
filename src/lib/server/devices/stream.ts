import { log } from '../log';
import { DRIVERS } from './driver';

/** How often instruments are looked at, ms. */
const READ_EVERY_MS = 250;
/** A stream ends by itself after so long; the browser opens the next one. */
const STREAM_FOR_MS = 10 * 60_000;

/** Readings that wait for a reader that does not keep up; further ones are left out. */
const MOST_UNREAD = 8;

/** Streams that are open, so that a server that is stopped does not wait for them. */
const open = new Set<() => void>();
for (const signal of ['SIGTERM', 'SIGINT'] as const)
	process.once(signal, () => open.forEach((close) => close()));

/** Whoever listens here; each is told the same readings. */
const listeners = new Set<(readings: string) => void>();
let timer: ReturnType<typeof setInterval> | undefined;
let reading = false;

/** Looks at the instruments once for everybody who listens. */
async function look(): Promise<void> {
	if (reading) return;
	reading = true;
	try {
		const all = (await Promise.all(DRIVERS.map((d) => d.read()))).flat();
		const nowMs = Date.now();
		const aged = all.map(({ atMs, ...r }) => ({ ...r, ageMs: Math.max(0, nowMs - atMs) }));
		const text = JSON.stringify(aged);
		for (const hear of [...listeners]) hear(text);
	} catch (error) {
		// the database is away, which the bench notices as silence; or the reader is
		log.warn({ err: error }, 'instruments could not be read');
	} finally {
		reading = false;
	}
}

/** @returns how to stop listening */
function listen(hear: (readings: string) => void): () => void {
	listeners.add(hear);
	timer ??= setInterval(() => void look(), READ_EVERY_MS);
	void look();
	return () => {
		listeners.delete(hear);
		if (listeners.size > 0) return;
		clearInterval(timer);
		timer = undefined;
	};
}

/**
 * Readings of the workshop's instruments, as server-sent events, each with its age: the clock of a tablet may be off.
 * @param ended told once it is over, or over again
 * Nothing about an instrument lives in this process, so a second one answers the same.
 */
export function deviceStream(ended: () => void = () => {}): ReadableStream {
	const text = new TextEncoder();
	const openedMs = Date.now();
	let close = () => {};
	let leave = () => {};
	const stop = () => {
		ended();
		leave();
		open.delete(close);
	};
	return new ReadableStream({
		start(controller) {
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
			leave = listen((readings) => {
				// a reader that does not keep up hears the next one
				if (Date.now() - openedMs > STREAM_FOR_MS) close();
				else if ((controller.desiredSize ?? 1) > -MOST_UNREAD)
					controller.enqueue(text.encode(`data: ${readings}\n\n`));
			});
		},
		cancel: stop
	});
}
