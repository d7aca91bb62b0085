// Runs in a thread of its own: one 3D file, one answer. Bundled whole by the build, see vite.config.ts.
import { parentPort, workerData } from 'node:worker_threads';
import { studyFile } from '../../core/master/study';
import type { ShapeChoice } from '../../core/master';
import { refusal } from '../../core/outcome';
import { meshAnswer, MeshError, type MeshQuery } from '../../core/mesh';

export type MeshTask =
	| { kind: 'study'; bytes: Uint8Array; choice: ShapeChoice; date: string }
	| { kind: 'answer'; bytes: Uint8Array; query: MeshQuery };

function solve(task: MeshTask) {
	return task.kind === 'study'
		? studyFile(task.bytes, task.choice, task.date)
		: meshAnswer(task.bytes, task.query);
}

try {
	parentPort!.postMessage({ ok: true, value: solve(workerData as MeshTask) });
} catch (error) {
	if (!(error instanceof MeshError)) throw error;
	parentPort!.postMessage(refusal(error.message));
}
