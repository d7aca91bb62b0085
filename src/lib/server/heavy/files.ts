import type { ShapeChoice } from '$lib/core/master';
import { MeshError, type MeshQuery } from '$lib/core/mesh';
import type { Outcome } from '$lib/core/outcome';
import { handedOver, heavy, type Asker } from './pool';

const orMeshError = <T>(outcome: Outcome<T>): T => {
	if (!outcome.ok) throw new MeshError(outcome.errors[0].message);
	return outcome.value;
};

/** What a 3D file says with a choice, worked out beside the server. The bytes are used up. @throws MeshError */
export const studyInThread = async (bytes: Uint8Array, choice: ShapeChoice, date: string, asker: Asker) =>
	orMeshError(await heavy('study', { bytes, choice, date }, asker, handedOver(bytes)));

/** The open interface's answer, worked out beside the server. The bytes are used up. @throws MeshError */
export const answerInThread = async (bytes: Uint8Array, query: MeshQuery, asker: Asker) =>
	orMeshError(await heavy('answer', { bytes, query }, asker, handedOver(bytes)));
