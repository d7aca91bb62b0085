import { cornersOf, markerOf, MATS, type MatSize } from '$lib/core/photo';
import type { PictureFault } from './pictureFaults';
import type { Found, Markers, Pixels } from './findMarkers';
import { hullOfPoints, within } from './polygon';

/** What a picture shows of the mat, and how well. */
export interface Judged {
	mat: MatSize | undefined;
	found: Found[];
	/** From dark to light over an edge of the print, px; nothing where no marker is seen. */
	edgePx: number | undefined;
	/** How bright its paper is, 0 … 255; of the whole picture where no marker is seen. */
	paper: number;
	/** What lies beyond the mat is so full of edges that the piece may not be told from it. */
	busy: boolean;
	fault: PictureFault | undefined;
}

/** So many markers at least, and so large a share of the ring. */
const FEWEST = { markers: 6, share: 0.6 };
/** An edge of the print may be so wide, px (common practice, no source). */
const WIDEST_EDGE_PX = 4.5;
/** Paper may be no darker than this of 255 (common practice, no source). */
const DARKEST_PAPER = 70;
/** Where so large a share of the paper is at the top of the scale, light has washed it out. */
const GLARE_SHARE = 0.6;

/** Beyond the mat so large a share of all points may lie at an edge (common practice, no source). */
const BUSY = 0.2;

const greyAt = ({ data, width, height }: Pixels, x: number, y: number): number => {
	const u = Math.min(Math.max(x, 0), width - 1.001);
	const v = Math.min(Math.max(y, 0), height - 1.001);
	const [i, j] = [u | 0, v | 0];
	const at = (k: number, l: number) => data[4 * (l * width + k) + 1]!;
	const [a, b] = [u - i, v - j];
	return (
		(1 - b) * ((1 - a) * at(i, j) + a * at(i + 1, j)) + b * ((1 - a) * at(i, j + 1) + a * at(i + 1, j + 1))
	);
};

/** How wide the edge of a marker is, from a tenth to nine tenths of its rise, px, and how bright the paper outside of it. */
function edgeOf(picture: Pixels, { corners }: Found): { widePx: number; paper: number }[] {
	const middle = [0, 1].map((c) => corners.reduce((sum, p) => sum + p[c]!, 0) / 4);
	return corners.map((a, i) => {
		const b = corners[(i + 1) % 4]!;
		const at = [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2];
		const out = [at[0]! - middle[0]!, at[1]! - middle[1]!];
		const half = Math.hypot(...out);
		// half a cell inwards is ink, half a cell outwards paper
		const reach = Math.min(10, half / 5);
		const line = Array.from({ length: 41 }, (_, n) => {
			const d = (reach * (n - 20)) / 20 / half;
			return greyAt(picture, at[0]! + d * out[0]!, at[1]! + d * out[1]!);
		});
		const [dark, light] = [line[0]!, line[40]!];
		const cross = (share: number) => line.findIndex((v) => v >= dark + share * (light - dark));
		return { widePx: ((cross(0.9) - cross(0.1)) * reach) / 20, paper: light };
	});
}

const middleOf = (of: number[]) => of.sort((a, b) => a - b)[Math.floor(of.length / 2)];

/** Judges one picture by itself. */
export function judge(picture: Pixels, { mat, found }: Markers): Judged {
	const edges = found.flatMap((f) => edgeOf(picture, f));
	const edgePx = middleOf(edges.map((e) => e.widePx));
	const paper = middleOf(edges.map((e) => e.paper)) ?? brightness(picture);
	const judged = { mat, found, edgePx, paper, busy: clutter(picture, found) > BUSY };
	return { ...judged, fault: faultOf(judged, edges) };
}

function faultOf(
	{ mat, found, edgePx, paper }: Omit<Judged, 'fault'>,
	edges: { paper: number }[]
): PictureFault | undefined {
	if (!mat) return paper < DARKEST_PAPER / 2 ? 'dark' : 'no-mat';
	if (paper < DARKEST_PAPER) return 'dark';
	if (edgePx !== undefined && edgePx > WIDEST_EDGE_PX) return 'blurred';
	if (
		found.length < FEWEST.markers ||
		found.length < FEWEST.share * MATS[mat].markers.length ||
		!allRound(found)
	)
		return 'few-markers';
	if (edges.filter((e) => e.paper >= 254).length > GLARE_SHARE * edges.length) return 'glaring';
	return undefined;
}

/** Whether the markers reach over more than half of the mat both ways: a corner of it alone tells no pose. */
function allRound(found: readonly Found[]): boolean {
	const at = found.flatMap(({ id }) => cornersOf(markerOf(id)!.marker));
	const span = (c: 0 | 1) => Math.max(...at.map((p) => p[c])) - Math.min(...at.map((p) => p[c]));
	const half = MATS[markerOf(found[0]!.id)!.size].halfMm;
	return span(0) > half && span(1) > half;
}

function brightness({ data }: Pixels): number {
	let [sum, n] = [0, 0];
	for (let i = 1; i < data.length; i += 4 * 97) {
		sum += data[i]!;
		n++;
	}
	return sum / Math.max(1, n);
}

/** Points are looked at this far apart, px. */
const GRID_PX = 6;
/** Brightness changes so much from one such point to the next at an edge, of 255. */
const EDGE = 22;

/** What share of the points beyond the mat lie at an edge, 0 … 1. */
function clutter(picture: Pixels, found: readonly Found[]): number {
	const onMat = within(hullOfPoints(found.flatMap((f) => f.corners)));
	let [edges, all] = [0, 0];
	for (let y = 0; y < picture.height - GRID_PX; y += GRID_PX)
		for (let x = 0; x < picture.width - GRID_PX; x += GRID_PX) {
			if (onMat(x, y)) continue;
			const here = greyAt(picture, x, y);
			const [right, below] = [greyAt(picture, x + GRID_PX, y), greyAt(picture, x, y + GRID_PX)];
			if (Math.max(Math.abs(right - here), Math.abs(below - here)) > EDGE) edges++;
			all++;
		}
	return all === 0 ? 0 : edges / all;
}
