import {
	MARKER_CELLS,
	isWhite,
	seenAt,
	standpoint,
	type Camera,
	type Mat as PrintedMat,
	type Pose
} from '$lib/core/photo';
import type { Pixels } from './findMarkers';

/** What should be seen of the mat at a place of it: paper, ink, or neither surely (an edge, or no part of the mat). */
export const PAPER = 1;
export const INK = 2;
export const UNSURE = 0;

/** So near to an edge of the print nothing is sure, mm: the print, the pose and the lens are good to this. */
const EDGE_MM = 0.8;

/** What is printed at a place of the mat, mm of the drawing. */
export function printedAt(mat: PrintedMat, x: number, y: number): typeof PAPER | typeof INK | typeof UNSURE {
	const reach = Math.max(Math.abs(x), Math.abs(y));
	if (reach > mat.halfMm + 4) return UNSURE;
	if (reach < mat.middleMm + 1) return PAPER;
	for (const m of mat.markers) {
		const [u, v] = [x - m.xMm + m.edgeMm / 2, m.yMm - y + m.edgeMm / 2];
		if (u < -EDGE_MM || v < -EDGE_MM || u > m.edgeMm + EDGE_MM || v > m.edgeMm + EDGE_MM) continue;
		const cell = m.edgeMm / (MARKER_CELLS + 2);
		const colour = (a: number, b: number) => {
			const [column, row] = [Math.floor(a / cell), Math.floor(b / cell)];
			if (column < 0 || row < 0 || column >= MARKER_CELLS + 2 || row >= MARKER_CELLS + 2) return PAPER;
			const border = column === 0 || row === 0 || column > MARKER_CELLS || row > MARKER_CELLS;
			return border || !isWhite(m.id, row - 1, column - 1) ? INK : PAPER;
		};
		const here = colour(u, v);
		for (const [a, b] of [
			[EDGE_MM, 0],
			[-EDGE_MM, 0],
			[0, EDGE_MM],
			[0, -EDGE_MM]
		] as const)
			if (colour(u + a, v + b) !== here) return UNSURE;
		return here;
	}
	return PAPER;
}

/** Takes a pixel to the place of the mat that it would show, mm of the drawing; nothing above the mat's horizon. */
export function onMat(
	camera: Camera,
	pose: Pose,
	scale: number
): (x: number, y: number) => [number, number] | undefined {
	const from = standpoint(pose);
	const r = pose.rotation;
	return (x, y) => {
		const [dx, dy] = [(x - camera.centrePx[0]) / camera.focalPx, (y - camera.centrePx[1]) / camera.focalPx];
		let [a, b] = [dx, dy];
		for (let i = 0; i < 4; i++) {
			const q = a * a + b * b;
			const grown = 1 + q * (camera.bend[0] + q * camera.bend[1]);
			[a, b] = [dx / grown, dy / grown];
		}
		const down = r[2]! * a + r[5]! * b + r[8]!;
		if (down > -1e-3) return undefined;
		const t = -from[2] / down;
		return [
			(from[0] + t * (r[0]! * a + r[3]! * b + r[6]!)) / scale,
			(from[1] + t * (r[1]! * a + r[4]! * b + r[7]!)) / scale
		];
	};
}

/** The room over the middle in which a piece is looked for, in halves of the middle: half of its width, and its height. */
export const ROOM = { wide: 1.08, tall: 4.5 } as const;

/** Corners, px, of the room over the middle in which the piece stands. */
export function roomOf(mat: PrintedMat, camera: Camera, pose: Pose, scale: number): [number, number][] {
	const at: [number, number][] = [];
	const m = ROOM.wide * mat.middleMm * scale;
	for (const z of [0, 0.5, 1])
		for (const [x, y] of [
			[-m, -m],
			[m, -m],
			[m, m],
			[-m, m]
		] as const) {
			const s = seenAt(camera, pose, x, y, z * ROOM.tall * mat.middleMm * scale);
			if (s.depthMm > 10) at.push([s.xPx, s.yPx]);
		}
	return at;
}

/** What white paper looks like in this picture: the middle value of each colour where paper lies in the open, round the ring. */
export function whiteOf(
	picture: Pixels,
	mat: PrintedMat,
	camera: Camera,
	pose: Pose,
	scale: number
): [number, number, number] {
	const values: [number[], number[], number[]] = [[], [], []];
	for (let i = 0; i < 400; i++) {
		const side = i % 4;
		const along = ((Math.floor(i / 4) + 0.5) / 100 - 0.5) * 2 * mat.halfMm;
		const out = mat.halfMm + 1.5;
		const [x, y] =
			side === 0 ? [along, out] : side === 1 ? [along, -out] : side === 2 ? [out, along] : [-out, along];
		const s = seenAt(camera, pose, x * scale, y * scale, 0);
		const [u, v] = [Math.round(s.xPx), Math.round(s.yPx)];
		if (u < 0 || v < 0 || u >= picture.width || v >= picture.height) continue;
		const o = 4 * (v * picture.width + u);
		for (let c = 0; c < 3; c++) values[c]!.push(picture.data[o + c]!);
	}
	return values.map((all) => {
		all.sort((a, b) => a - b);
		return Math.max(24, all[Math.floor(all.length * 0.6)] ?? 255);
	}) as [number, number, number];
}
