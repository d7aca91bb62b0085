import type { TaughtDemould } from '../cure/demouldLearning';
import type { FillerMix } from '../cure/record';
import type { Sections } from '../cure/sections';
import type { WallKind } from '../cure/wall';
import type { PotResult } from '../pressurePot/pressurePot';
import type { FillerRecord } from '../shelf/filler';
import type { TaughtResin } from '../shelf/resin';
import type { WorkshopSettings } from '../workshop/settings';
import type { Also, OtherPiece } from './otherPiece';
import type { SolidShot } from './batch';
import type { Taken } from './leftOver';
import type { CopyBalance } from './kinds/filled/filled';
import type { ShotInputs } from './inputs';
import type { StepRole } from './pouring';
import type { Rotocast } from './kinds/rotocast/rotocast';
import type { Thickest } from './thickest';

export interface ShotFiller {
	name: string;
	family?: FillerRecord['family'] | undefined;
	densityGPerMl: number;
	bulkDensityGPerMl?: number | undefined;
	grainMm?: number | undefined;
	creamyScoopsPerB?: number | undefined;
	pasteScoopsPerB?: number | undefined;
	yieldPa?: number | undefined;
}

export interface ShotRecipe {
	id: string;
	name: string;
	/** How much longer this load of colour makes the cure, %. */
	lengtheningPercent?: number;
	colours: {
		name: string;
		part: 'A' | 'B';
		percent: number;
		dropsPerG?: number | undefined;
		powder?: boolean | undefined;
	}[];
}

/** What the records say about the shot: master, moulds, resin and workshop. */
export interface ShotContext {
	cavityVolumeMl: number;
	mouldWallMm: number;
	/** What that wall is made of; silicone unless said. */
	wall?: WallKind | undefined;
	/** All of the moulds are open faces. */
	open?: boolean | undefined;
	/** The thickest place of the piece by its file, else by its volume and outer sizes. */
	thickest?: Thickest | undefined;
	/** Outer volume of the chosen moulds together, ml. */
	mouldsVolumeMl: number;
	/** Cavities of the chosen moulds together; one each unless said. */
	cavities?: number | undefined;
	/** Moulds of other pieces that may be filled from the same cup. */
	others?: OtherPiece[] | undefined;
	/** Skin of one copy without its openings, mm²; by its file or its outer sizes. */
	skinAreaMm2?: number | undefined;
	/** Half the piece's width, mm: what turns. */
	radiusMm?: number | undefined;
	/** Its height, mm: what drains. */
	heightMm?: number | undefined;
	/** The pour opening of the mould that fills last. */
	sprue?: SprueSizes | undefined;
	resin: TaughtResin;
	/** The filler's record, when there is one. */
	filler?: ShotFiller | undefined;
	/** Fillers of the shelf that single layers may take. */
	fillers?: (ShotFiller & { id: string })[] | undefined;
	/** Colour recipes of this resin, scaled to percent of the mixed resin. */
	recipes?: ShotRecipe[] | undefined;
	/** What earlier pours of these moulds took, from one cup and in layers. */
	taken?: { one?: Taken | undefined; layers?: Taken | undefined } | undefined;
	/** The container's own speed, learned from readings. */
	rateFactor?: number | undefined;
	settings: WorkshopSettings;
}

/** A round pour opening, mm. */
export interface SprueSizes {
	diameterMm: number;
	lengthMm: number;
}

/** A filler of the shelf that would keep a layer up, and how much of it. */
export interface ThickenOffer {
	fillerId: string;
	name: string;
	/** Loose scoops to one of B. */
	scoops: number;
}

export interface PlannedShot {
	/** Shots kept before there were other kinds have none: they are solid. */
	kind?: ShotInputs['kind'];
	shot: SolidShot;
	/** Of a solid cast: where it sets last and gets hottest. */
	where?: Sections;
	/** Fillers through and through, as the clock of its one cup heeds them. */
	fillerMix?: FillerMix;
	/** What else each cup fills. */
	also?: Also[];
	pot?: PotResult;
	/** What earlier pours took of what the sums say, which it is mixed by. */
	taken?: Taken;
	/** What presses at demould taught of this resin, which its times heed; the maker's own time stands first. */
	taught?: TaughtDemould;
	/** What each timed step is, in the order of the steps. */
	roles: StepRole[];
	/** Layers of one copy with their clocks. */
	rotocast?: Rotocast;
	/** What would keep the last layer up, of the fillers of the shelf; never stirred in unasked. */
	offer?: ThickenOffer;
	/** Powder on the face of one copy. */
	dust?: { name: string; massG: number };
	/** One copy: what fills it, what it weighs, how it floats. */
	balance?: CopyBalance;
}
