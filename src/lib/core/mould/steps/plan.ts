import type { MouldInputs } from '../inputs';
import type { ShellRecipe } from '../kinds/jacket/shellRecipe';
import type { MouldKind } from '../kinds/names';

/** Everything that making one mould needs at the bench; fixed when it is begun. */
export interface MakingPlan {
	number: number;
	label: string;
	masterName: string;
	kind: MouldKind;
	materialName: string;
	cureKind?: 'addition' | 'condensation';
	/** How the face of the master is closed, if it is porous. */
	sealing: string;
	release?: { name: string; flashOffS: number; powder: boolean };
	shape: MouldInputs['shape'];
	seamSide: MouldInputs['seamSide'];
	degas: MouldInputs['degas'];
	vacuum?: { risenMl: number; vesselMl: number; pumpDownS: number; takesS: number };
	pours: {
		name: string;
		massG: number;
		aG?: number;
		bG?: number;
		thickenerG?: number;
		/** Mixes that the scale, the cup and the vessel need. */
		mixes: number;
		/** After it is in place, until the next step may touch it, s. */
		setS: number;
	}[];
	workingTimeS: number;
	/** Jacket: parts of the shell and how long each sets. */
	shell?: {
		kind: 'resin' | 'plaster' | 'printed';
		parts: number;
		setS: number;
		massEachG: number;
		layers: number;
		bolts: number;
		/** Of a chosen resin; makings of earlier versions have none. */
		recipe?: ShellRecipe;
		/** Laid plaster of one part, g. */
		plaster?: { powderG: number; waterG: number };
	};
	/** Press: how hot and how long each half is softened. */
	soften?: { tempC: number; softenS: number };
	/** Wet: how cold the water is, what it is mixed with, and what goes in within which time. */
	wet?: { waterTempC: number; setS: number; usableS: number; cast: string };
	/** Volume that the finished cavity should take, ml; nothing while the master's is not known. */
	masterVolumeMl?: number;
	cavities: number;
}
