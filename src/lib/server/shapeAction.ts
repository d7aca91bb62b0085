import type { ActionFailure, RequestEvent } from '@sveltejs/kit';
import {
	masterRecord,
	shapeChoice,
	type MasterRecord,
	type ShapeChoice,
	type VolumeReading
} from '$lib/core/master';
import { MeshError } from '$lib/core/mesh';
import { RefusedError } from './errors';
import { madeId, orFail } from './forms';
import { asker } from './heavy/asker';
import { studyInThread } from './heavy/files';
import type { Asker } from './heavy/pool';
import { saveMaster } from './repositories/masters';
import { readMesh } from './repositories/meshes';
import { savePhoto } from './repositories/photos';

/** The choice that a form sends as JSON. @throws RefusedError with the first thing that is wrong */
export function choiceFrom(data: FormData): ShapeChoice {
	let raw: unknown;
	try {
		raw = JSON.parse(String(data.get('choice')));
	} catch {
		throw new RefusedError('The choice did not arrive: try again.');
	}
	const parsed = shapeChoice.safeParse(raw);
	if (!parsed.success) throw new RefusedError(parsed.error.issues[0]!.message);
	return parsed.data;
}

/** What the stored file says with a choice; worked out here, whatever the browser showed. */
export async function studied(choice: ShapeChoice, asker: Asker) {
	const { bytes } = await readMesh(choice.sha256);
	try {
		return await studyInThread(bytes, choice, new Date().toISOString().slice(0, 10), asker);
	} catch (error) {
		if (error instanceof MeshError) throw new RefusedError(error.message);
		throw error;
	}
}

/** Keeps a new master of what a form says of its file: name, material and choice. */
export async function keepNewMaster(
	event: RequestEvent
): Promise<{ id: string } | ActionFailure<{ problem: string }>> {
	const data = await event.request.formData();
	const work = async () => {
		const found = await studied(choiceFrom(data), asker(event, data));
		const record = masterRecord.parse({
			name: String(data.get('name') ?? ''),
			material: String(data.get('material') ?? ''),
			...sizesFrom(found),
			readings: [found.reading],
			used: 0,
			shape: found.shape,
			traps: found.traps
		});
		const card = data.get('card');
		const photoId =
			card instanceof File && card.size > 0 ? await savePhoto(Buffer.from(await card.arrayBuffer())) : null;
		return { id: await saveMaster(record, photoId, { id: madeId(data), actor: event.locals.person }) };
	};
	return orFail(work, (problem) => ({ problem }));
}

type Found = Awaited<ReturnType<typeof studied>>;

/** Outer sizes of a piece as it is poured, from its file: the box that just holds it, mm. */
export function sizesFrom({ shape }: Found) {
	const [lengthMm, widthMm, heightMm] = shape.findings.sizesMm;
	return { footprint: 'rectangular' as const, lengthMm, widthMm, heightMm };
}

/** A record with a file's findings: shape and pockets anew, its reading added or brought up to date. */
export function withShape(
	record: MasterRecord,
	found: Found,
	options: { useVolume: boolean; useSizes: boolean }
): MasterRecord {
	const at = record.readings.findIndex((r) => r.method === 'mesh');
	const readings: VolumeReading[] =
		at < 0
			? [...record.readings, found.reading]
			: record.readings.map((r, i) => (i === at ? found.reading : r));
	return {
		...record,
		...(options.useSizes ? sizesFrom(found) : {}),
		readings,
		used: options.useVolume ? (at < 0 ? readings.length - 1 : at) : record.used,
		shape: found.shape,
		traps: [...found.traps, ...record.traps.filter((t) => t.source === 'look')]
	};
}
