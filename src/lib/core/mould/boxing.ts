import type { Cavity } from './block';
import type { MasterSize } from '../master/sizes';

/** Boards and tubes stand this much higher than the rubber, mm (common practice, no source). */
export const RIM_MM = 10;
/** The base board reaches this far beyond the walls on each side, mm: room for the fillet of hot glue. */
export const BASE_MARGIN_MM = 25;
/** What the board under everything is called in the list of what is cut. */
export const BASE_BOARD = 'base board';

/** A piece to cut. */
export interface CutPiece {
	what: string;
	count: number;
	lengthMm: number;
	widthMm: number;
	thicknessMm: number;
}

/** One ring of building bricks: inside sizes and how many brick pitches lie round it. */
export interface Course {
	lengthMm: number;
	widthMm: number;
	heightMm: number;
	/** Bricks of one pitch in the ring, corners included. */
	units: number;
}

interface BrickSize {
	/** Width of one brick, and the step by which the inside grows, mm. */
	pitchMm: number;
	/** Height of one course, mm. */
	heightMm: number;
}

/**
 * Boards for a box: two as long as the inside and both walls, two between them, and the base.
 * @example
 * boardsFor({ shape: 'box', lengthMm: 60, widthMm: 60, heightMm: 50 }, 4).length; // 3
 */
export function boardsFor(cavity: Extract<Cavity, { shape: 'box' }>, boardMm: number): CutPiece[] {
	const heightMm = cavity.heightMm + RIM_MM;
	const outerL = cavity.lengthMm + 2 * boardMm;
	const outerW = cavity.widthMm + 2 * boardMm;
	return [
		{ what: 'long side', count: 2, lengthMm: outerL, widthMm: heightMm, thicknessMm: boardMm },
		{ what: 'short side', count: 2, lengthMm: cavity.widthMm, widthMm: heightMm, thicknessMm: boardMm },
		base(outerL, outerW, boardMm)
	];
}

/**
 * A length of tube and the board that it stands on.
 * @example
 * tubeFor({ shape: 'tube', diameterMm: 60, heightMm: 50 }, 4)[0]; // { what: 'tube, this wide inside', count: 1, lengthMm: 60, widthMm: 60, thicknessMm: 0 }
 */
export function tubeFor(cavity: Extract<Cavity, { shape: 'tube' }>, boardMm: number): CutPiece[] {
	return [
		{
			what: 'tube, this wide inside',
			count: 1,
			lengthMm: cavity.heightMm + RIM_MM,
			widthMm: cavity.diameterMm,
			thicknessMm: 0
		},
		base(cavity.diameterMm, cavity.diameterMm, boardMm)
	];
}

/** The board under everything. */
export function base(outerLengthMm: number, outerWidthMm: number, boardMm: number): CutPiece {
	return {
		what: BASE_BOARD,
		count: 1,
		lengthMm: outerLengthMm + 2 * BASE_MARGIN_MM,
		widthMm: outerWidthMm + 2 * BASE_MARGIN_MM,
		thicknessMm: boardMm
	};
}

/** How far a master reaches along its length and width between two heights above its foot, mm. */
export interface Slice {
	fromMm: number;
	toMm: number;
	/** From, to along the length, then along the width. */
	reachMm: readonly [number, number, number, number];
}

/** Everything that these slices cover along one axis, mm; nothing above the master. */
function span(slices: readonly Slice[], axis: 0 | 2): number {
	if (slices.length === 0) return 0;
	return (
		Math.max(...slices.map((s) => s.reachMm[axis + 1]!)) - Math.min(...slices.map((s) => s.reachMm[axis]!))
	);
}

/**
 * Rings of bricks laid as close round a master as its clearance allows: each ring is the next whole number of
 * pitches, and follows the master's own width at its height where slices of it are known.
 * @param slices widths of the master by height; without them every ring goes round its outer sizes
 * @example
 * brickCourses(cube, 10, 10, { pitchMm: 8, heightMm: 9.6 }).length; // 6
 */
export function brickCourses(
	master: MasterSize,
	clearanceMm: number,
	coverMm: number,
	brick: BrickSize,
	slices: readonly Slice[] = []
): Course[] {
	const depthMm = master.heightMm + coverMm;
	const count = Math.ceil(depthMm / brick.heightMm - 1e-9);
	const whole = {
		lengthMm: master.lengthMm,
		widthMm: master.footprint === 'round' ? master.lengthMm : master.widthMm
	};
	return Array.from({ length: count }, (_, i) => {
		const fromMm = i * brick.heightMm;
		const toMm = Math.min(depthMm, fromMm + brick.heightMm);
		// the rubber above and below a wide place needs its clearance too
		const near = slices.filter((s) => s.toMm > fromMm - clearanceMm && s.fromMm < toMm + clearanceMm);
		const at = slices.length === 0 ? whole : { lengthMm: span(near, 0), widthMm: span(near, 2) };
		const [l, w] = [at.lengthMm, at.widthMm].map((mm) =>
			Math.max(1, Math.ceil((mm + 2 * clearanceMm) / brick.pitchMm - 1e-9))
		) as [number, number];
		return {
			lengthMm: l * brick.pitchMm,
			widthMm: w * brick.pitchMm,
			heightMm: toMm - fromMm,
			units: 2 * (l + w) + 4
		};
	});
}
