import { log } from '../log';
import { readCommands } from '../repositories/deviceCommands';
import { cupsOf, getPour } from '../repositories/pours';
import { simulatedDrivers } from './simulated';

/** How often devices are read, and how often what was done to them is looked up, ms. */
const READ_EVERY_MS = 200;
const TOLD_EVERY_MS = 400;
/** A stream ends by itself after so long; the browser opens the next one. */
const STREAM_FOR_MS = 10 * 60_000;

/** Streams that are open, so that a server that is stopped does not wait for them. */
const open = new Set<() => void>();
for (const signal of ['SIGTERM', 'SIGINT'] as const)
	process.once(signal, () => open.forEach((close) => close()));

/**
 * Readings of the devices at a pour, as server-sent events. Nothing about a device lives in this process:
 * commands and events are read again and again, so a second process answers the same.
 */
export async function deviceStream(pourId: string, scaleResolutionG: number): Promise<ReadableStream> {
	const { plan } = await getPour(pourId);
	const drivers = simulatedDrivers(pourId, plan, scaleResolutionG);
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
			let toldMs = 0;
			let asking = false;
			const tell = async () => {
				asking = true;
				try {
					const [commands, cups] = await Promise.all([readCommands(pourId), cupsOf(pourId, plan)]);
					for (const d of drivers) {
						d.told(commands);
						d.cupsAre?.(cups);
					}
				} catch (error) {
					// the database is away: devices go on by what was known last
					log.warn({ err: error, pourId }, 'device stream could not read what was done');
				} finally {
					toldMs = Date.now();
					asking = false;
				}
			};
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
			const tick = () => {
				const nowMs = Date.now();
				if (nowMs - openedMs > STREAM_FOR_MS) {
					close();
					return;
				}
				if (!asking && nowMs - toldMs >= TOLD_EVERY_MS) void tell();
				const readings = drivers.flatMap((d) => d.read(nowMs) ?? []);
				try {
					controller.enqueue(text.encode(`data: ${JSON.stringify(readings)}\n\n`));
				} catch {
					// the reader has gone away
					stop();
				}
			};
			void tell().then(tick);
			timer = setInterval(tick, READ_EVERY_MS);
		},
		cancel: stop
	});
}
