import type { Library, Vision } from './visionTypes';

export type { Library, Mat, Vision } from './visionTypes';

let held: { cv: Vision } | undefined;

/**
 * Loads the library once (10 MB): only in a worker, and only where pictures are measured. What comes back is wrapped,
 * because the library answers to `then` for ever and cannot be awaited itself.
 */
export async function vision(
	load: () => Promise<{ library: { cv: Library } }> = () => import('./library')
): Promise<{ cv: Vision }> {
	if (held) return held;
	const { cv } = (await load()).library;
	if (!cv.Mat) await new Promise<void>((done) => (cv.onRuntimeInitialized = done));
	return (held = { cv });
}

/** Runs `work` and frees all that it asked to be kept until then; nothing of that may be used afterwards. */
export function freeing<T>(work: (keep: <M extends { delete(): void }>(made: M) => M) => T): T {
	const made: { delete(): void }[] = [];
	try {
		return work((m) => {
			made.push(m);
			return m;
		});
	} finally {
		for (const m of made.reverse()) m.delete();
	}
}
