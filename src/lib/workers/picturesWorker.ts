import { releaseProxy, wrap, type Remote } from 'comlink';
import type { PicturesApi } from './pictures.worker';

/** A worker that holds the pictures of one piece. Ending it is how long work is called off. Browser only. */
export class PicturesWorker {
	readonly #worker: Worker;
	readonly api: Remote<PicturesApi>;
	constructor() {
		this.#worker = new Worker(new URL('./pictures.worker.ts', import.meta.url), {
			type: 'module',
			name: 'pictures'
		});
		this.api = wrap<PicturesApi>(this.#worker);
	}
	/** Ends the worker with whatever it is doing; what was asked of it is never answered. */
	end(): void {
		this.api[releaseProxy]();
		this.#worker.terminate();
	}
}
