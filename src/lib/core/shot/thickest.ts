import type { Sections } from '../cure/sections';

/** A plate lies flatter than this share of its width. */
const FLAT_SHARE = 0.6;

/** The thickest place of a piece, and what is known of it. */
export interface Thickest {
	shape: 'slab' | 'cylinder';
	thicknessMm: number;
	from: 'file' | 'sizes';
}

/**
 * The thickest place of a piece: its file’s, else no more than its least outer size and than a cube of its volume. A
 * flat piece is a plate there, any other a limb.
 * @example
 * thickestOf({ volumeMl: 64, lengthMm: 40, widthMm: 40, heightMm: 40 }); // { shape: 'cylinder', thicknessMm: 40, from: 'sizes' }
 */
export function thickestOf(of: {
	volumeMl: number;
	lengthMm: number;
	widthMm: number;
	heightMm: number;
	/** By the 3D file. */
	thickestMm?: number | undefined;
}): Thickest {
	const least = Math.min(of.lengthMm, of.widthMm, of.heightMm);
	const cubeMm = 10 * Math.cbrt(of.volumeMl);
	const shape = of.heightMm < FLAT_SHARE * Math.min(of.lengthMm, of.widthMm) ? 'slab' : 'cylinder';
	return of.thickestMm
		? { shape, thicknessMm: Math.min(of.thickestMm, least), from: 'file' }
		: { shape, thicknessMm: Math.min(least, cubeMm), from: 'sizes' };
}

/** Where a solid cast sets last and gets hottest, as it was typed and as the records have it. */
export function sectionsOf(
	inputs: { sectionMm: number; thickestMm?: number | undefined },
	context: {
		mouldWallMm: number;
		wall?: Sections['wall'];
		open?: boolean | undefined;
		thickest?: Thickest | undefined;
	}
): Sections {
	const { thickest, mouldWallMm, wall, open } = context;
	const thicknessMm = inputs.thickestMm ?? thickest?.thicknessMm;
	return {
		section: { shape: 'slab', thicknessMm: inputs.sectionMm },
		...(thicknessMm !== undefined && thicknessMm > inputs.sectionMm
			? { thickest: { shape: thickest?.shape ?? 'cylinder', thicknessMm: Math.min(500, thicknessMm) } }
			: {}),
		mouldWallMm,
		...(wall && wall !== 'silicone' ? { wall } : {}),
		...(open ? { open } : {})
	};
}
