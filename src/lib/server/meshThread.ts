import { Worker } from 'node:worker_threads';
import source from 'virtual:thread-mesh';
import { MeshError, type MeshAnswer, type MeshQuery } from '$lib/core/mesh';
import type { Outcome } from '$lib/core/outcome';
import type { ShapeChoice } from '$lib/core/master';
import type { studyFile } from '$lib/core/master/study';
import { environment } from './environment';
import type { MeshTask } from './thread/mesh';

/** So long one file may be worked on, ms; MESH_TIME_LIMIT_MS says otherwise. Others wait behind it. */
const LIMIT_MS = environment().MESH_TIME_LIMIT_MS;

const tooLong = () =>
	new MeshError(
		`This file takes over ${Math.max(1, Math.round(LIMIT_MS / 1000))} s to work out, and is given up so that others get their turn: save it with fewer triangles, or as one closed body.`
	);
const gone = () => new MeshError('Nobody waits for this file any more.');

/** One file at a time: two large ones together would need the memory of both. */
let last: Promise<unknown> = Promise.resolve();

/** @param signal of the request: when its client goes, the work ends */
function inThread<T>(task: MeshTask, signal?: AbortSignal): Promise<T> {
	const run = () =>
		new Promise<T>((resolve, reject) => {
			if (signal?.aborted) {
				reject(gone());
				return;
			}
			const worker = new Worker(source, {
				eval: true,
				workerData: task,
				// handed over, unless the bytes are a part of something larger
				...(task.bytes.byteLength === task.bytes.buffer.byteLength
					? { transferList: [task.bytes.buffer as ArrayBuffer] }
					: {})
			});
			const settle = (by: () => void) => {
				clearTimeout(timer);
				signal?.removeEventListener('abort', left);
				by();
			};
			let why: Error | undefined;
			const giveUp = (said: MeshError) => {
				// settled when it has ended: the next file begins once this one's memory is free
				why ??= said;
				void worker.terminate();
			};
			const left = () => giveUp(gone());
			const timer = setTimeout(() => giveUp(tooLong()), LIMIT_MS);
			signal?.addEventListener('abort', left, { once: true });
			worker.once('message', (answer: Outcome<T>) =>
				settle(() => (answer.ok ? resolve(answer.value) : reject(new MeshError(answer.errors[0].message))))
			);
			worker.once('error', (error) => settle(() => reject(error)));
			worker.once('exit', (code) =>
				settle(() => reject(why ?? new Error(`The mesh thread ended with ${code}.`)))
			);
		});
	const mine = last.then(run, run);
	last = mine.catch(() => undefined);
	return mine;
}

/** What a 3D file says with a choice, worked out beside the server. The bytes are used up. @throws MeshError */
export const studyInThread = (bytes: Uint8Array, choice: ShapeChoice, date: string, signal?: AbortSignal) =>
	inThread<ReturnType<typeof studyFile>>({ kind: 'study', bytes, choice, date }, signal);

/** The open interface's answer, worked out beside the server. The bytes are used up. @throws MeshError */
export const answerInThread = (bytes: Uint8Array, query: MeshQuery, signal?: AbortSignal) =>
	inThread<MeshAnswer>({ kind: 'answer', bytes, query }, signal);
