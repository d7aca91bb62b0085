import { measure, type Mesh, type Vec3 } from '../mesh';
import { contrary } from './contrary';
import { CONTRARY } from './contraryLimit';
import { boxOf, hullOf, type Body, type Box, type View } from './hull';
import { withoutSpecks } from './largest';
import { onlyBy } from './onlyBy';
import { aboveMl, sureTopMm } from './roof';
import { smoothed } from './smooth';
import { surfaceOf } from './surface';
import { unseen } from './unseen';

/** Pictures that cannot be made into a body, with a sentence that says why and what to do. */
export class PictureError extends Error {
	constructor(message: string) {
		super(message);
		this.name = 'PictureError';
	}
}

/** What makes the volume unsure, ml each way. */
export interface Doubts {
	/** No picture looked there: the body may be so much too large. */
	betweenMl: number;
	/** What stands above the height that the piece has for certain; too large. */
	roofMl: number;
	/** The outlines' rims, the poses and the lens; either way. */
	rimMl: number;
	/** The grid; either way. */
	gridMl: number;
	/** What outlines take away that others show; too small. */
	contraryMl: number;
}

/** A body worked out of pictures. */
export interface Pictured {
	mesh: Mesh;
	/** Of the body, which is never smaller than the piece but for the rims, ml. */
	volumeMl: number;
	lowMl: number;
	highMl: number;
	areaMm2: number;
	/** Between these the skin lies, mm²; hollows that no picture sees come on top. */
	areaLowMm2: number;
	areaHighMm2: number;
	min: Vec3;
	max: Vec3;
	doubts: Doubts;
	/** The height that the piece has for certain, mm. */
	sureTopMm: number;
	/** What each picture alone took away, ml, in the pictures' order. */
	onlyByMl: number[];
	/** What share of an outline each picture denies although others show it, in the pictures' order. */
	contraryShare: number[];
	/** For each corner of the mesh, over how many mm a hollow would not be seen there. */
	bridgedMm: Float32Array;
}

export interface BodyOptions {
	/** Half of the room in which the piece stands, mm. */
	reachMm: number;
	/** Half of the room in which it is looked for, mm; as wide as the rest unless given. */
	wallMm?: number;
	/** The tallest that it can be, mm. */
	tallMm: number;
	/** Steps of the grid along its longest side, 24 … 200. */
	steps: number;
	/** How far the markers are from where they should be, px, root of the mean square. */
	offPx: number;
	/** The piece is flat on top: nothing stands above its sure height. */
	flatTop?: boolean;
	progress?: (share: number) => void;
}

/** Grid of the first look round. */
const COARSE = 56;
/** A flat face seen askew on both sides hides so much of what single pictures take (see the note at `doubtsOf`). */
const FLAT_FACE = 1.6;
/** An outline's rim is good to so much, px (common practice, no source; the checks measure 0.2 to 0.5). */
const RIM_PX = 0.5;
/** A skin is good to this share besides what the volume's band says of it (common practice, no source; the checks measure 0.03). */
const SKIN_SHARE = 0.04;
/** Rounds of smoothing. */
const ROUNDS = 8;

/**
 * A closed body, its volume and how sure it is, from outlines of known place.
 *
 * How much too large it may be is read off the pictures themselves. Room that a single picture takes away shows how
 * fast further pictures would still take: round a convex bend the body left over is a sixth of the sum of it, in front
 * of a flat face as much as the sum, and up to 1.6 of it where two pictures see the face alike (worked out for
 * equal angles between pictures, checked on bodies of known volume).
 * @throws PictureError for fewer than two outlines, for outlines that leave nothing in common, and for a piece that
 * reaches to the wall of the room that it is looked for in
 * @example
 * bodyOf(ballViews, { reachMm: 60, tallMm: 90, steps: 32, offPx: 0.3 }).lowMl < 33.5; // true
 */
export function bodyOf(views: readonly View[], options: BodyOptions): Pictured {
	const { reachMm, tallMm, steps, progress } = options;
	if (views.length < 2)
		throw new PictureError('At least two outlines are needed, from different sides: take more pictures.');
	const all: Box = { min: [-reachMm, -reachMm, -1], max: [reachMm, reachMm, tallMm] };
	const coarse = boxOf(hullOf(views, all, COARSE));
	if (!coarse)
		throw new PictureError(
			'The outlines leave nothing in common: one of them is of something else, or the piece was moved between pictures.'
		);
	progress?.(0.1);
	const body = hullOf(views, coarse, steps, (share) => progress?.(0.1 + 0.4 * share));
	refuseTooLarge(body, options);
	const topMm = sureTopMm(views, coarse, 2 * body.stepMm);
	progress?.(0.55);
	const roofMl = aboveMl(body, topMm);
	if (options.flatTop) cutAbove(body, topMm);
	const mesh = smoothed(withoutSpecks(surfaceOf(body)), ROUNDS, 0.3 * body.stepMm);
	if (mesh.indices.length === 0)
		throw new PictureError('The outlines leave hardly anything in common: look at each of them.');
	progress?.(0.7);
	const { volumeMl, areaMm2, min, max } = measure(mesh);
	const onlyByMl = onlyBy(views, coarse, Math.min(64, steps));
	progress?.(0.9);
	const contraryShare = contrary(views, body);
	const doubts: Doubts = {
		// what a picture takes that others deny is no measure of how fast pictures take
		betweenMl: FLAT_FACE * onlyByMl.reduce((sum, v, i) => sum + (contraryShare[i]! < CONTRARY ? v : 0), 0),
		roofMl: options.flatTop ? 0 : roofMl,
		rimMl: (areaMm2 * Math.hypot(RIM_PX, options.offPx) * mmPerPx(views)) / 1000,
		gridMl: (areaMm2 * 0.05 * body.stepMm) / 1000,
		contraryMl: deniedMl(views, coarse, contraryShare)
	};
	const either = Math.hypot(doubts.rimMl, doubts.gridMl);
	const lowMl = Math.max(0.2 * volumeMl, volumeMl - doubts.betweenMl - doubts.roofMl - either);
	const highMl = volumeMl + either + doubts.contraryMl;
	// a body of the same shape has a skin by the two thirds of its volume
	const skinOf = (ml: number) => areaMm2 * (ml / volumeMl) ** (2 / 3);
	const pictured = {
		mesh,
		volumeMl,
		lowMl,
		highMl,
		areaMm2,
		areaLowMm2: (1 - SKIN_SHARE) * skinOf(lowMl),
		areaHighMm2: (1 + SKIN_SHARE) * skinOf(highMl),
		min,
		max,
		doubts,
		sureTopMm: topMm,
		onlyByMl,
		contraryShare,
		bridgedMm: unseen(mesh, views, body)
	};
	progress?.(1);
	return pictured;
}

/** A shadow that passed for the piece lies flat below this height over the mat, mm. */
const SHADOW_MM = 3;

/** @throws PictureError where the body fills its room to the wall or the ceiling: what is beyond was not measured */
function refuseTooLarge(body: Body, { wallMm = Infinity, tallMm }: BodyOptions): void {
	const { min, stepMm, size, insideMm } = body;
	const [nx, ny, nz] = size;
	const spare = 2 * stepMm;
	for (let z = 0, i = 0; z < nz; z++) {
		const heightMm = min[2] + z * stepMm;
		for (let y = 0; y < ny; y++)
			for (let x = 0; x < nx; x++, i++) {
				if (heightMm < SHADOW_MM || !(insideMm[i]! > 0)) continue;
				const across = Math.max(Math.abs(min[0] + x * stepMm), Math.abs(min[1] + y * stepMm));
				if (across > wallMm - spare || heightMm > tallMm - spare)
					throw new PictureError(
						'The piece reaches out of the room over the middle of its mat, so a part of it would be cut off: print a larger mat.'
					);
			}
	}
}

/** What the pictures that deny something take off the body of all others, ml; nothing where none does. */
function deniedMl(views: readonly View[], box: Box, shares: readonly number[]): number {
	const others = views.filter((_, i) => shares[i]! < CONTRARY);
	if (others.length === views.length) return 0;
	// without those that deny it the body may reach farther than its box
	const wide = box.max.map((hi, i) => hi + 0.5 * (hi - box.min[i]!)) as unknown as Vec3;
	const low = box.min.map((lo, i) => (i < 2 ? lo - 0.5 * (box.max[i]! - lo) : lo)) as unknown as Vec3;
	const all = { min: low, max: wide };
	const ml = (of: readonly View[]) => aboveMl(hullOf(of, all, COARSE), -1);
	return others.length < 2 ? ml(views) : Math.max(0, ml(others) - ml(views));
}

/** Millimetres that a pixel covers at the piece, over all pictures. */
function mmPerPx(views: readonly View[]): number {
	return (
		views.reduce((sum, { camera, pose }) => sum + pose.translationMm[2] / camera.focalPx, 0) / views.length
	);
}

/** Takes off what stands above a height. */
function cutAbove({ min, stepMm, size: [nx, ny, nz], insideMm }: Body, topMm: number): void {
	for (let z = 0, i = 0; z < nz; z++)
		for (let n = 0; n < nx * ny; n++, i++)
			insideMm[i] = Math.min(insideMm[i]!, topMm - (min[2] + z * stepMm));
}
