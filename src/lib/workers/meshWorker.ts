import { releaseProxy, wrap, type Remote } from 'comlink';
import type { MeshApi } from './mesh.worker';

/** A worker that holds one 3D file. Ending it is how long work is called off. Browser only. */
export class MeshWorker {
	readonly #worker: Worker;
	readonly api: Remote<MeshApi>;
	constructor() {
		this.#worker = new Worker(new URL('./mesh.worker.ts', import.meta.url), { type: 'module', name: 'mesh' });
		this.api = wrap<MeshApi>(this.#worker);
	}
	/** Ends the worker with whatever it is doing; what was asked of it is never answered. */
	end(): void {
		this.api[releaseProxy]();
		this.#worker.terminate();
	}
}
