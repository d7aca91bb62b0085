import type { Sections } from '../cure/sections';
import type { Thickest } from './thickest';

/** A mould of another master, as the records have it. */
export interface OtherPiece {
	mouldId: string;
	/** M14 Ring, as people say it. */
	name: string;
	/** What is cast in it. */
	masterName: string;
	volumeMl: number;
	sprueMl: number;
	cavities: number;
	outsideMl: number;
	mouldWallMm: number;
	wall?: Sections['wall'];
	open?: boolean | undefined;
	/** By its 3D file; else as thin as the piece that was typed. */
	thinnestMm?: number | undefined;
	thickest?: Thickest | undefined;
}

/** One of them with how many each cup fills. */
export interface Also extends OtherPiece {
	copies: number;
}
