import type { Warning } from '../working';
import type { Kinetics } from './kinetics';

/** A resin's cure with every constant settled: what the cup and part models run on. */
export interface CureModel {
	readonly kinetics: Kinetics;
	readonly densityGPerMl: number;
	readonly specificHeatJPerGK: number;
	readonly heatOfCureJPerG: number;
	readonly conductivityWPerMK: number;
	readonly potConversion: number;
	readonly gelConversion: number;
	/** Conversion at which a part is firm enough to leave its mould. */
	readonly demouldConversion: number;
	/** Rest at 23 °C after that conversion, s; it goes faster when warm, like the reaction. */
	readonly demouldRestS: number;
	/** Names of the constants that are defaults and not from the sheet. */
	readonly defaulted: readonly string[];
	readonly warnings: readonly Warning[];
}
