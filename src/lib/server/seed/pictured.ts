import { gunzipSync } from 'fflate';
import { masterRecord, type ShapeChoice } from '$lib/core/master';
import { saveMaster } from '../repositories/masters';
import { saveMesh } from '../repositories/meshes';
import { savePhoto } from '../repositories/photos';
import { sizesFrom, studied } from '../shapeAction';
import body from './knob/body.stl.gz?inline';
import found from './knob/found.json';

/** Pictures of an invented knob on its mat, drawn by `scripts/demoPictures.ts`, which also measured them. */
const PICTURES = import.meta.glob<string>('./knob/*.jpg', {
	query: '?inline',
	import: 'default',
	eager: true
});
const bytesOf = (dataUrl: string) => Buffer.from(dataUrl.slice(dataUrl.indexOf(',') + 1), 'base64');

/** A master that was measured with pictures, kept with them. */
export async function measuredKnob(): Promise<void> {
	const photoIds: string[] = [];
	for (const name of Object.keys(PICTURES).sort()) photoIds.push(await savePhoto(bytesOf(PICTURES[name]!)));
	const fileName = 'knob-from-pictures.stl';
	const { sha256 } = await saveMesh(
		fileName,
		(async function* () {
			yield gunzipSync(bytesOf(body));
		})()
	);
	const pictured = { ...found, photoIds, rulerMm: 100, flatTop: false, byWater: false };
	const choice: ShapeChoice = {
		sha256,
		fileName,
		unit: 'mm',
		scale: 1,
		up: [0, 0, -1],
		openings: [],
		openFaces: [],
		pictured
	};
	const study = await studied(choice, { client: 'demo' });
	const record = masterRecord.parse({
		name: 'Stair knob',
		material: 'metal',
		...sizesFrom(study),
		readings: [study.reading],
		shape: study.shape,
		traps: study.traps,
		note: 'Lent for a day; measured on the mat, sixteen pictures.'
	});
	await saveMaster(record, photoIds[8] ?? null);
}
