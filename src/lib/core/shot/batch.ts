import type { BudgetResult } from '../budget/budget';
import type { TimeBand } from '../cure/bands';
import type { FillerMix } from '../cure/record';
import type { CatalystAmount } from '../mix/catalyst';
import type { Amount, MixResult } from '../mix/mix';
import type { Warning, WorkingLine } from '../working';
import type { ColourCup, ColourDose } from './dose';
import type { Layer } from './layer';

/** One cup mixed at once. */
export interface ShotBatch {
	copies: number;
	/** In the moulds, sprues and vents, ml. */
	pouredMl: number;
	/** Of that, in moulds of other pieces. */
	alsoMl?: number;
	lossMl: number;
	volumeMl: number;
	massG: number;
	a: Amount;
	/** Nothing for a resin that is catalysed by share. */
	b: Amount;
	catalyst?: CatalystAmount;
	fillers: MixResult['fillers'];
	/** One cup for each layer, in their order; the figures of the batch are those of the first. */
	layers?: Layer[];
	/** Colour in doses, for all of the batch. */
	colours?: ColourDose[];
	/** Colours poured together, the one that is combined first in front. */
	cups?: ColourCup[];
	potLifeS: number;
	/** Where four of five pot lives fall; shots kept before bands were known have none. */
	potLifeBand?: TimeBand;
	/** What the pot life rests on. */
	clockSource: string;
	gelTimeS: number;
	peakTempC: number;
	steps: { name: string; durationS: number }[];
	budget: BudgetResult;
	slackS: number;
	fits: boolean;
	schools: MeasuringSchools;
}

/** The two ways of measuring, each with the ratio error that it risks. */
export interface MeasuringSchools {
	scale: { resolutionG: number; errorPercent: number };
	marks: { cupDiameterMm: number; markAMm: number; markBMm: number; errorPercent: number };
}

/** What keeps a batch from being larger. */
export type BatchBound = 'order' | 'moulds' | 'pot life' | 'cup' | 'scale' | 'pot';

export interface SolidShot {
	/** Fillers as heat and viscosity see them; of a plain resin nothing. */
	fillerMix?: FillerMix;
	batches: ShotBatch[];
	/** The most copies that one cup can fill in time; 0 when not even one fits. */
	largestBatch: number;
	/** What keeps it from being larger. */
	bound?: BatchBound;
	volumeMl: number;
	massG: number;
	demouldS: number;
	/** From then until it is demoulded it may be bent out; shots kept before the second cure engine have none. */
	flexibleS?: number;
	/** Where four of five fall. */
	demouldBand?: TimeBand;
	/** When its slowest place has had its time: it may still be too hot to be stiff. */
	maturedS?: number;
	/** When the slowest place has gelled with a quarter to spare: earliest release of the pot, s. */
	holdUntilS: number;
	peakMouldFaceC: number;
	working: WorkingLine[];
	warnings: Warning[];
}
