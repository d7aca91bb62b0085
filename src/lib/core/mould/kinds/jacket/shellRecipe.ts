import { cup } from '../../../cure';
import { mix } from '../../../mix/mix';
import type { FillerRecord } from '../../../shelf/filler';
import type { ResinRecord } from '../../../shelf/resin';
import { cureOf, mixable } from '../../../shelf/resinSums';
import { SPREAD_MM2_PER_S } from '../../../shot/kinds/brushed/stands';
import { scooped } from '../../../shot/scoops';
import { InputError } from '../../../working';

/** A portion is mixed for so long, s (a default of ours). */
const MIX_S = 90;
/** Of its pot life a portion is used up within this, as everywhere. */
const USABLE = 0.8;
/** What one hand holds and another scrapes out, g (a default of ours). */
const HANDFUL_G = 1000;
const MOST_PORTIONS = 60;

/** A portion of one part of the shell, as it is mixed and spread. */
export interface ShellPortion {
	massG: number;
	aG: number;
	bG: number;
	thickenerG: number;
	/** Loose scoops of it. */
	scoopsMl: number;
	catalystG?: number;
	potLifeS: number;
	spreadS: number;
	/** What it would come to if it stayed in its pot. */
	peakTempC: number;
	peakTimeS: number;
}

/** A shell of resin: what it is made of in all, and in how many portions for each part. */
export interface ShellRecipe {
	resinName: string;
	thickenerName?: string;
	aG: number;
	bG: number;
	thickenerG: number;
	portions: number;
	portion: ShellPortion;
}

/**
 * A shell of thickened resin in portions that one pair of hands spreads within their pot life.
 * @param of volume and face of one part, ml and mm²
 * @throws InputError at the thickener without its scoops, or where no portion is small enough
 * @example
 * shellRecipe({ volumeMl: 900, faceMm2: 150_000, parts: 2 }, urethane, undefined, 21).portions; // 2
 */
export function shellRecipe(
	of: { volumeMl: number; faceMm2: number; parts: number },
	resin: ResinRecord,
	thickener: FillerRecord | undefined,
	roomTempC: number
): ShellRecipe {
	if (thickener && thickener.pasteScoopsPerB === undefined)
		throw new InputError(
			['shellFillerId'],
			`${thickener.name} has no record of how many scoops make a paste: try it in a small cup and write it on the shelf.`
		);
	const fillers = thickener ? [scooped(thickener, thickener.pasteScoopsPerB!, resin)] : [];
	const { densityAGPerMl, densityBGPerMl, ratio, catalyst } = mixable(resin);
	const of1 = (portions: number): ShellPortion & { fits: boolean } => {
		const mixed = mix({
			resin: { densityAGPerMl, ...(densityBGPerMl && ratio ? { densityBGPerMl, ratio } : {}) },
			...(catalyst ? { catalyst } : {}),
			target: { volumeMl: of.volumeMl / portions },
			fillers
		});
		const clock = cup({
			resin: cureOf(resin),
			massG: mixed.total.massG,
			startTempC: roomTempC,
			roomTempC
		});
		const spreadS = of.faceMm2 / portions / SPREAD_MM2_PER_S;
		return {
			massG: mixed.total.massG,
			aG: mixed.a.massG,
			bG: mixed.b.massG,
			thickenerG: mixed.fillers[0]?.massG ?? 0,
			scoopsMl: mixed.fillers[0]?.looseVolumeMl ?? 0,
			...(mixed.catalyst ? { catalystG: mixed.catalyst.massG } : {}),
			potLifeS: clock.potLifeS,
			spreadS,
			peakTempC: clock.peakTempC,
			peakTimeS: clock.peakTimeS,
			fits: MIX_S + spreadS <= USABLE * clock.potLifeS && mixed.total.massG <= HANDFUL_G
		};
	};
	for (let portions = 1; portions <= MOST_PORTIONS; portions++) {
		const { fits, ...portion } = of1(portions);
		if (fits)
			return {
				resinName: resin.name,
				...(thickener ? { thickenerName: thickener.name } : {}),
				aG: portion.aG * portions * of.parts,
				bG: portion.bG * portions * of.parts,
				thickenerG: portion.thickenerG * portions * of.parts,
				portions,
				portion
			};
	}
	throw new InputError(
		['shellResinId'],
		`${resin.name} is too quick for a shell: even in ${MOST_PORTIONS} portions a part it is set before one is spread. Take a slower one.`
	);
}
