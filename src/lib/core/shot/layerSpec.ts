import type { Filler } from '../mix/mix';
import type { LayerTimes } from './layer';

/** One layer of one copy before it has a clock. */
export interface LayerSpec {
	/** Without what stays in the cup, ml. */
	volumeMl: number;
	thicknessMm: number;
	serves: string;
	way: 'roll' | 'flat' | 'brush';
	fillers: Filler[];
	/** Tinted by the shot's recipe, unless it has one of its own. */
	tinted?: boolean;
	recipeId?: string;
	levelMm?: number;
	setsIn?: string[];
	sags?: boolean;
	/** Its cup holds at least so much, for all copies together: less cannot be weighed, ml. */
	leastMl?: number;
	/** Brushed: how long spreading it takes, s. */
	layS?: number;
}

/** A layer of one copy with its clocks; the volume holds what is lost too. */
export interface TimedLayer extends LayerSpec, LayerTimes {
	/** When its cup is combined, s after the layer below was poured. */
	combinedS?: number;
	/** Rolled: turns between locking and gel. */
	turns?: number;
}
