import { Worker } from 'node:worker_threads';
import source from 'virtual:thread-mesh';
import { MeshError, type MeshAnswer, type MeshQuery } from '$lib/core/mesh';
import type { ShapeChoice } from '$lib/core/master';
import type { studyFile } from '$lib/core/master/study';
import type { MeshTask } from './thread/mesh';

/** One file at a time: two large ones together would need the memory of both. */
let last: Promise<unknown> = Promise.resolve();

function inThread<T>(task: MeshTask): Promise<T> {
	const run = () =>
		new Promise<T>((resolve, reject) => {
			const worker = new Worker(source, {
				eval: true,
				workerData: task,
				// handed over, unless the bytes are a part of something larger
				...(task.bytes.byteLength === task.bytes.buffer.byteLength
					? { transferList: [task.bytes.buffer as ArrayBuffer] }
					: {})
			});
			worker.once('message', (answer: { ok: T } | { problem: string }) =>
				'ok' in answer ? resolve(answer.ok) : reject(new MeshError(answer.problem))
			);
			worker.once('error', reject);
			worker.once('exit', (code) => reject(new Error(`The mesh thread ended with ${code}.`)));
		});
	const mine = last.then(run, run);
	last = mine.catch(() => undefined);
	return mine;
}

/** What a 3D file says with a choice, worked out beside the server. The bytes are used up. @throws MeshError */
export const studyInThread = (bytes: Uint8Array, choice: ShapeChoice, date: string) =>
	inThread<ReturnType<typeof studyFile>>({ kind: 'study', bytes, choice, date });

/** The open interface's answer, worked out beside the server. The bytes are used up. @throws MeshError */
export const answerInThread = (bytes: Uint8Array, query: MeshQuery) =>
	inThread<MeshAnswer>({ kind: 'answer', bytes, query });
