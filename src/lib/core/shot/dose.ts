import type { FillerMix } from '../cure/record';
import type { CatalystAmount } from '../mix/catalyst';
import type { Amount } from '../mix/mix';

/** A colour as it goes into a cup. */
export interface ColourDose {
	name: string;
	part: 'A' | 'B';
	massG: number;
	drops?: number;
	powder?: boolean;
}

/** One colour's cup: its own mass, side, temperature and clock. */
export interface ColourCup {
	name: string;
	a: Amount;
	b: Amount;
	catalyst?: CatalystAmount;
	massG: number;
	startTempC: number;
	/** From its own combining, s. */
	potLifeS: number;
	/** When it is as warm as wanted, s after its own combining; nothing when it never is in time. */
	warmS?: number;
	/** Its fillers as heat and viscosity see them. */
	fillerMix?: FillerMix;
	colours: ColourDose[];
}
