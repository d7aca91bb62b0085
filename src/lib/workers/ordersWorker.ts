import type { Improve, Improved } from './orders.worker';

/** A worker that looks for a better plan, and tells how far it is until it is ended. Browser only. */
export function searchingWorker(asked: Improve, tell: (known: Improved) => void, failed: () => void): Worker {
	const worker = new Worker(new URL('./orders.worker.ts', import.meta.url), {
		type: 'module',
		name: 'orders'
	});
	worker.onmessage = ({ data }: MessageEvent<Improved>) => tell(data);
	worker.onerror = failed;
	worker.postMessage(asked);
	return worker;
}
