import type { MasterRecord } from '../master/master';
import type { MasterSize } from '../master/sizes';
import type { ThermoplasticRecord } from '../shelf/release';
import type { RubberRecord } from '../shelf/rubber';
import { InputError, type Warning, type WorkingLine } from '../working';
import type { Cavity } from './block';
import type { CutPiece } from './boxing';
import type { Grid } from './cavities';
import type { Keys, Seam } from './details';
import type { FillerRecord } from '../shelf/filler';
import type { ResinRecord } from '../shelf/resin';
import type { ShellRecipe } from './kinds/jacket/shellRecipe';
import type { JacketPlan } from './kinds/jacket/jacket';
import type { MouldKind } from './kinds/names';
import type { RigidPlan } from './kinds/rigid/rigid';
import type { TwoPartPlan } from './kinds/twoPart/twoPart';
import type { WetPlan } from './kinds/wet/wet';

/** The materials that a mould is made of. */
export interface MouldMaterials {
	rubber?: RubberRecord | undefined;
	thermoplastic?: ThermoplasticRecord | undefined;
	/** Of a jacket's shell. */
	shellResin?: ResinRecord | undefined;
	shellFiller?: FillerRecord | undefined;
}

type Parts = { massG: number };
/** Something that is mixed or softened at once. */
export interface MouldPour {
	name: string;
	volumeMl: number;
	massG: number;
	/** Nothing for a thermoplastic. */
	a?: Parts;
	b?: Parts;
	/** Weighed into B first. */
	thickenerG?: number;
	/** Seconds after the first pour's start. */
	startS: number;
}

/** A mould of any kind, as planned. */
export interface MouldPlan {
	kind: MouldKind;
	/** What touches the copies: rubber, thermoplastic or wet mix; nothing for a rigid mould. */
	/** What a container at hand leaves round the master; nothing where clearances were typed. */
	left?: { clearanceMm: number; coverMm: number };
	rubber: { volumeMl: number; massG: number };
	a: Parts;
	b: Parts;
	pours: MouldPour[];
	/** Inside of the box with the master in it; of a jacket and a rigid mould nothing. */
	grossVolumeMl: number;
	netVolumeMl: number;
	degasVesselMl: number;
	readyInS: number;
	workingTimeS: number;
	working: WorkingLine[];
	warnings: Warning[];
	cavity?: Cavity;
	grid?: Grid;
	/** Rubber that separate moulds would take more, ml. */
	savedMl?: number;
	/** Rubber in a box, a tube and close-fitting bricks with the same clearance, ml; the least first. */
	others?: { shape: 'box' | 'tube' | 'bricks'; netMl: number }[];
	cutList?: CutPiece[];
	/** Bricks of one pitch in all courses together. */
	brickUnits?: number;
	partingMm?: number;
	clay?: { volumeMl: number; massG: number };
	first?: Omit<TwoPartPlan['first'], 'a' | 'b' | 'degasVesselMl'> & { a?: Parts; b?: Parts };
	second?: MouldPlan['first'];
	keys?: Keys;
	seam?: Seam;
	jacket?: Pick<JacketPlan, 'areaMm2' | 'outerAreaMm2' | 'keys' | 'keyMm' | 'thickenerG' | 'coats'> & {
		/** Plans of earlier versions do not say its face. */
		shell: Omit<JacketPlan['shell'], 'faceMm2'> & { faceMm2?: number };
		/** Of a shell of resin that was chosen; plans of earlier versions have none. */
		recipe?: ShellRecipe;
		/** Of a plaster shell that is laid instead of bandaged. */
		plaster?: { powderG: number; waterG: number };
	};
	rigid?: Pick<RigidPlan, 'outerMm' | 'material' | 'seamMm' | 'putty' | 'bands'>;
	wet?: Pick<WetPlan, 'powder' | 'water' | 'cast' | 'usableS' | 'pulls'>;
}

/** The material that a kind is made of. @throws InputError at its field while none is chosen */
export function wanted<T>(thing: T | undefined, path: string, message: string): T {
	if (thing === undefined) throw new InputError([path], message);
	return thing;
}

/** Outer sizes alone, as the sums of each kind take them. */
export function sizeOf(m: MasterRecord): MasterSize {
	return { footprint: m.footprint, lengthMm: m.lengthMm, widthMm: m.widthMm, heightMm: m.heightMm };
}
