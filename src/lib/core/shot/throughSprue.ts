import { sprue, type SprueResult } from '../flow';
import { mixedDensityGPerMl, viscosityOf } from '../shelf/resinSums';
import { digits, formatTime } from '../units';
import type { Warning } from '../working';
import type { Inputs } from './inputs';
import type { ShotContext, SprueSizes } from './planned';

/** Slower than so many times what was typed it is said (a default of ours). */
const SLOWER_SAID = 1.1;

/** Running in through the mould's sprue by its own weight; nothing where it is poured another way. */
export function throughSprue(inputs: Inputs, context: ShotContext, castMl: number): SprueResult | undefined {
	const { sprue: opening, resin, open } = context;
	if (!opening || open || (inputs.pourWay ?? 'sprue') !== 'sprue' || !(castMl > 0)) return undefined;
	const mpaS = viscosityOf(resin, inputs.startTempC);
	if (!(mpaS > 0)) return undefined;
	return sprue({
		volumeMl: castMl,
		...opening,
		viscosityMpaS: mpaS,
		densityGPerMl: mixedDensityGPerMl(resin)
	});
}

/** Said where it runs in more slowly than it was to be poured: the plan counts with that. */
export const slowSprue = (
	fills: SprueResult | undefined,
	inputs: Inputs,
	opening: SprueSizes | undefined
): Warning[] =>
	fills && opening && fills.fillS > inputs.pourS * SLOWER_SAID
		? [
				{
					code: 'slow-sprue',
					message: `By the mould’s record its sprue is ${digits(opening.diameterMm)} mm wide and ${digits(opening.lengthMm)} mm long: through that it takes ${formatTime(fills.fillS)} to run in, not ${formatTime(inputs.pourS)}, and the plan counts with it.`,
					action:
						'Put the real width into the mould’s record; else a funnel, a syringe from the lowest point, or a thinner resin.'
				}
			]
		: [];
