import { digits } from '../units';
import type { Warning } from '../working';
import { columnsVolumeMl, cutColumns } from './columns';
import { frameFor } from './frame';
import { measure } from './measure';
import { readMeshFile, type MeshFile, type MeshFormat } from './read';
import { topology } from './topology';
import {
	FILE_UNIT_MM,
	MeshError,
	tooTangled,
	type FileUnit,
	type Mesh,
	type Progress,
	type TriangleSoup,
	type Vec3
} from './types';
import { weld } from './weld';

export interface MeshReport {
	format: MeshFormat;
	unit: FileUnit;
	parts: string[];
	triangles: number;
	/** Enclosed volume, ml, whichever way the faces look. */
	volumeMl: number;
	areaMm2: number;
	bounds: { min: Vec3; max: Vec3 };
	centroid: Vec3;
	watertight: boolean;
	openEdges: number;
	crowdedEdges: number;
	turnedEdges: number;
	shells: number;
	collapsed: number;
	/** Good to this share, from a second way of measuring; undefined for a clean mesh. */
	doubtShare?: number;
	warnings: Warning[];
}

/** All parts of a file as one body of triangles. */
function together(file: MeshFile, only?: readonly number[]): TriangleSoup {
	const chosen = only ? file.parts.filter((_, i) => only.includes(i)) : file.parts;
	if (chosen.length === 1) return chosen[0]!;
	const triangles = chosen.reduce((sum, p) => sum + p.triangles, 0);
	const positions = new Float32Array(9 * triangles);
	let at = 0;
	for (const p of chosen) {
		positions.set(p.positions, at);
		at += p.positions.length;
	}
	return { positions, triangles };
}

export interface LoadOptions {
	/** Unit of the file, for one that does not say; mm unless given. */
	unit?: FileUnit;
	/** Made so many times larger. */
	scale?: number;
	/** Parts of the file that belong to the piece, by their place; all unless given. */
	parts?: readonly number[];
	progress?: Progress;
}

/**
 * From a file's bytes to a mesh in mm and what is known of it. What is wrong with the mesh is said with what
 * it means for the volume; nothing is mended in silence, except that an inside-out mesh is turned.
 * @throws MeshError for a file that cannot be used
 * @example
 * loadMesh(stlOf(cubeMesh), 'cube.stl', { unit: 'mm' }).report.shells; // 1
 */
export function loadMesh(
	bytes: Uint8Array,
	name: string,
	options: LoadOptions = {}
): { mesh: Mesh; report: MeshReport } {
	const part = (from: number, to: number): Progress | undefined =>
		options.progress && ((share) => options.progress!(from + (to - from) * share));
	const file = readMeshFile(bytes, name, part(0, 0.5));
	return assemble(file, options, part(0.5, 1));
}

/**
 * The same for a file that is read already.
 * @throws MeshError with a sentence.
 * @example
 * assemble(readMeshFile(stlOf(cubeMesh), 'cube.stl'), { unit: 'mm' }).report.volumeMl; // 64
 */
export function assemble(
	file: MeshFile,
	options: Omit<LoadOptions, 'progress'> = {},
	progress?: Progress
): { mesh: Mesh; report: MeshReport } {
	const unit = options.unit ?? file.unit ?? 'mm';
	const scale = options.scale ?? 1;
	if (!(scale > 0) || !Number.isFinite(scale)) throw new MeshError('The scale must be more than nothing.');
	const soup = together(file, options.parts);
	if (soup.triangles === 0) throw new MeshError('Choose at least one part of the file.');
	const { mesh, collapsed } = weld(soup, FILE_UNIT_MM[unit] * scale, (s) => progress?.(0.6 * s));
	if (mesh.indices.length === 0)
		throw new MeshError('Every triangle of this file collapses to a line: it has no body.');
	const measured = measure(mesh);
	refuseHuge(measured);
	progress?.(0.7);
	const edges = topology(mesh);
	refuseScraps(edges, mesh.indices.length);
	progress?.(0.95);
	const report: MeshReport = {
		format: file.format,
		unit,
		parts: file.parts.map((p) => p.name),
		triangles: mesh.indices.length / 3,
		volumeMl: Math.abs(measured.volumeMl),
		areaMm2: measured.areaMm2,
		bounds: { min: measured.min, max: measured.max },
		centroid: measured.centroid,
		watertight: edges.watertight,
		openEdges: edges.openEdges,
		crowdedEdges: edges.crowdedEdges,
		turnedEdges: edges.turnedEdges,
		shells: edges.shells,
		collapsed,
		warnings: []
	};
	explain(report, mesh, measured.volumeMl);
	progress?.(1);
	return { mesh, report };
}

/** No piece is a kilometre long, mm: past it squares and cubes of lengths are no numbers any more. */
const LONGEST_MM = 1e6;

/** @throws MeshError where corners lie so far out that nothing of it can be measured */
function refuseHuge({ min, max }: ReturnType<typeof measure>): void {
	if (max.every((far, i) => far - min[i]! <= LONGEST_MM && Math.abs(far) <= 1e3 * LONGEST_MM)) return;
	throw new MeshError('Its corners lie over a kilometre apart: the file is damaged, or its unit is another.');
}

/** So many open edges, and such a share of all sides, and the triangles hang together with hardly anything. */
const SCRAPS = { openEdges: 1000, share: 0.4 };

/** @throws MeshError for loose triangles: nothing is inside of them */
function refuseScraps({ openEdges }: ReturnType<typeof topology>, sides: number): void {
	if (openEdges > SCRAPS.openEdges && openEdges > SCRAPS.share * sides)
		throw tooTangled('most of its triangles hang together with no other');
}

/** Turns a mesh whose faces look inwards. */
function turnOver({ indices }: Mesh): void {
	for (let t = 0; t < indices.length; t += 3) {
		const b = indices[t + 1]!;
		indices[t + 1] = indices[t + 2]!;
		indices[t + 2] = b;
	}
}

/** From this share on, what bodies have in common is said and taken off. */
const OVERLAP_SHARE = 0.002;

function explain(report: MeshReport, mesh: Mesh, signedMl: number): void {
	const say = (code: string, message: string, action: string, severity?: 'harm') =>
		report.warnings.push({ code, message, action, ...(severity ? { severity } : {}) });
	if (signedMl < 0) {
		turnOver(mesh);
		say(
			'inside-out',
			'The faces of this file look inwards; they were turned.',
			'The volume is right all the same.'
		);
	}
	const columns = cutColumns(mesh, frameFor([0, 0, 1]), 160);
	const columnsMl = columnsVolumeMl(columns);
	// the same columns count shells once and as often as they cover: only what overlaps makes a difference
	const coveredMl = Math.abs(columns.signedMm * columns.cellMm ** 2) / 1000;
	const overlap = coveredMl > 0 ? 1 - columnsMl / coveredMl : 0;
	const off = report.volumeMl > 0 ? Math.abs(columnsMl - report.volumeMl) / report.volumeMl : 1;
	if (report.openEdges > 0) {
		report.doubtShare = off;
		say(
			'open-edges',
			`${report.openEdges} open edge${report.openEdges === 1 ? '' : 's'}: the surface has holes, so what it encloses is a guess, about ${digits(Math.max(1, off * 100), 0)} % unsure.`,
			'Close the holes in the drawing, or check by water: overflow or rise.',
			off > 0.05 ? 'harm' : undefined
		);
	}
	if (report.crowdedEdges > 0)
		say(
			'crowded-edges',
			`${report.crowdedEdges} edges are shared by more than two faces: bodies touch along a line.`,
			'It mostly does no harm; check the volume by water if it matters.'
		);
	if (report.turnedEdges > 0) {
		report.doubtShare = Math.max(report.doubtShare ?? 0, off);
		say(
			'turned-faces',
			`Some faces are turned the wrong way (${report.turnedEdges} edges), so parts of the volume count against each other.`,
			'Let the drawing program make all faces look outwards.'
		);
	}
	if (report.openEdges === 0 && report.turnedEdges === 0 && report.shells > 1 && overlap > OVERLAP_SHARE) {
		report.doubtShare = overlap;
		report.volumeMl *= 1 - overlap;
		say(
			'overlapping-shells',
			`${report.shells} bodies run into each other: what they share was counted once, on a grid.`,
			'Unite them in the drawing for the exact figure.'
		);
	}
	if (!(report.volumeMl > 0))
		say('no-volume', 'The surface encloses nothing.', 'Export a closed body, or measure by water.', 'harm');
}
