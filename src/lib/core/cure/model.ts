import type { Warning } from '../working';
import type { Kinetics } from './kinetics';

/** A resin's cure with every constant settled: what the cup and part models run on. */
export interface CureModel {
	readonly kinetics: Kinetics;
	readonly densityGPerMl: number;
	readonly specificHeatJPerGK: number;
	/** Released by a gram of the mix, fillers counted. */
	readonly heatOfCureJPerG: number;
	readonly conductivityWPerMK: number;
	readonly potLifeConversion: number;
	readonly gelConversion: number;
	/** Speed of this batch against its sheet: tin, colour, additive and catalyst share. 1 by the sheet. */
	readonly speed: number;
	/** What a part wants after its slowest place has gelled, s at 23 °C and the sheet's speed. */
	readonly maturityS: number;
	/** From this share of it on a part may be bent out, 0…1. */
	readonly flexibleShare: number;
	readonly maturityActivationJPerMol: number;
	/** By how much the fresh end of the glass transition is raised so that the sheet's own case is stiff in time, K. */
	readonly glassShiftK: number;
	/** The constants that are defaults and not from the sheet, in words. */
	readonly defaulted: readonly string[];
	readonly warnings: readonly Warning[];
}
