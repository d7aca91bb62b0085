import { getMaster, saveMaster } from '../repositories/masters';
import { saveMesh } from '../repositories/meshes';
import { savePhoto } from '../repositories/photos';
import { studied, withShape } from '../shapeAction';
import type { DemoPiece } from './pieces';
import { BODIES, type P } from './shapes/bodies';
import { pictureOf } from './shapes/picture';
import { facesOf, shardFaces, stl, type Face } from './shapes/surfaceNets';

/** What the pieces are made of, as a lamp shows it. */
const TINTS: Readonly<Record<string, P>> = {
	'Ammonite paperweight': [176, 158, 130],
	'Lamplighter figure': [128, 140, 152],
	'Ship’s nameplate letters': [190, 160, 92],
	'Ice shard': [170, 205, 222],
	'Quay bollard, small': [150, 104, 70],
	'Stage anvil': [110, 112, 118],
	'Amber block with a fern': [214, 142, 44],
	'Cobble tile': [142, 138, 134],
	'Rope fender': [196, 170, 120]
};
/** Pieces that have a 3D file, and its name. */
const FILES: Readonly<Record<string, string>> = {
	'Lamplighter figure': 'lamplighter.stl',
	'Rope fender': 'fender.stl'
};

const facesFor = ({ name, lengthMm, heightMm }: DemoPiece['master']): Face[] =>
	BODIES[name] ? facesOf(BODIES[name]) : shardFaces(lengthMm, heightMm);

/** Gives a piece its picture, and two of them their 3D files: poured head down through their base. */
export async function showPiece(masterId: string, { master }: DemoPiece): Promise<void> {
	const faces = facesFor(master);
	const photoId = await savePhoto(pictureOf(faces, TINTS[master.name]!));
	const { record, version } = await getMaster(masterId);
	const fileName = FILES[master.name];
	const shown = fileName
		? withShape(record, await measured(fileName, faces), { useVolume: false, useSizes: false })
		: record;
	await saveMaster(shown, photoId, { id: masterId, version });
}

async function measured(fileName: string, faces: readonly Face[]) {
	const bytes = stl(faces);
	const { sha256 } = await saveMesh(
		fileName,
		(async function* () {
			yield bytes;
		})()
	);
	return studied(
		{ sha256, fileName, unit: 'mm', scale: 1, up: [0, 0, -1], openings: [], openFaces: [] },
		{ client: 'demo' }
	);
}
