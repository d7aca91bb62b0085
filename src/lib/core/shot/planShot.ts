import { isTooDamp } from '../humidity';
import { bandOfTime, layersBand, sectionsBands, type LayersQuestion, type TimeBand } from '../cure/bands';
import { chemistryOf, isCatalysed } from '../shelf/chemistry';
import type { TaughtResin } from '../shelf/resin';
import { cureOf } from '../shelf/resinSums';
import { usualWarnings } from '../shelf/usualWords';
import { digits } from '../units';
import type { Warning } from '../working';
import type { SolidShot } from './batch';
import type { Inputs } from './inputs';
import { CAST_PLANS } from './kinds';
import { layeredWay, type Taken } from './leftOver';
import type { PlannedShot, ShotContext } from './planned';

/** Air from which this workshop does not pour urethane, said while there is still time to dry the room. */
function airWarnings(inputs: Inputs, { settings, resin }: ShotContext): Warning[] {
	const { stopHumidityPercent } = settings;
	if (chemistryOf(resin.family) !== 'urethane' || !isTooDamp({ ...inputs, stopHumidityPercent })) return [];
	return [
		{
			code: 'damp-air',
			message: `At ${digits(inputs.relativeHumidity, 0)} % humidity urethane foams easily; this workshop stops from ${digits(stopHumidityPercent, 0)} %.`,
			action: 'Wait for drier air or dry the room, warm and dry the mould, and keep A closed.'
		}
	];
}

/**
 * Sizes the shot from what was typed and what the records say. Throws as the kind's own planner does.
 * @param bands whether to work out how sure the demould is, which takes as long as all the rest
 * @example
 * planShot(inputs({ kind: 'solid' }), context, false).shot.batches[0]?.a.massG; // 53.543
 */
export function planShot(typed: Inputs, records: ShotContext, bands = true): PlannedShot {
	const { inputs, taken, took } = heeding(typed, records);
	const context = { ...records, taken: took, resin: withShare(records.resin, inputs.catalystPercent) };
	const { stack, ...planned } = CAST_PLANS[inputs.kind](inputs, context);
	const { shot } = planned;
	return {
		...planned,
		...(context.resin.taught ? { taught: context.resin.taught } : {}),
		...(taken ? { taken } : {}),
		shot: {
			...shot,
			...(bands
				? { demouldBand: stack ? stackBand(shot, stack) : demouldBand(planned, inputs, context) }
				: {}),
			warnings: [...shot.warnings, ...airWarnings(inputs, context), ...usualWarnings(context.resin)]
		}
	};
}

/**
 * What earlier pours say of this one: a cast from one cup is mixed by it; one in layers loses what they lost, and no layer
 * is mixed thinner than it was asked for. Cups that were typed, or that fill other pieces as well, go by themselves.
 */
function heeding(
	inputs: Inputs,
	{ taken }: ShotContext
): { inputs: Inputs; taken?: Taken; took?: ShotContext['taken'] } {
	const own =
		inputs.heedLeft !== false && !(inputs.also ?? []).length && !(inputs.cups ?? []).some((c) => c.volumeMl);
	const way = layeredWay(inputs);
	const found = own ? taken?.[way] : undefined;
	if (!found) return { inputs };
	if (way === 'one') return { inputs, taken: found, took: { one: found } };
	return { inputs: { ...inputs, lossPercent: Math.max(0, (found.share - 1) * 100) }, taken: found };
}

/** Where four of five demoulds of a solid cast fall. */
function demouldBand(
	{ shot, where, fillerMix }: PlannedShot,
	inputs: Inputs,
	context: ShotContext
): TimeBand {
	const { startTempC, mouldTempC, roomTempC } = inputs;
	const band = sectionsBands({
		resin: { ...cureOf(context.resin, context.rateFactor), ...(fillerMix ? { fillerMix } : {}) },
		where: where ?? {
			section: { shape: 'slab', thicknessMm: Math.max(0.2, inputs.sectionMm) },
			mouldWallMm: context.mouldWallMm,
			...(context.wall ? { wall: context.wall } : {}),
			open: true
		},
		startTempC,
		mouldTempC,
		roomTempC
	}).demouldS;
	return bandOfTime(shot.demouldS, band);
}

/** The same of a cast in layers: its last is poured when the one below says so, and from then on it is as sure as it is. */
function stackBand({ batches, demouldS }: SolidShot, stack: LayersQuestion): TimeBand {
	const lastS = batches[0]!.layers!.at(-1)!.pouredS ?? 0;
	const band = bandOfTime(demouldS - lastS, layersBand(stack));
	return { ...band, lowS: lastS + band.lowS, highS: lastS + band.highS };
}

/**
 * The resin with the share of catalyst that this shot takes.
 * @example
 * withShare(polyester, 2).catalystPercent; // 2
 */
export const withShare = (resin: TaughtResin, catalystPercent: number | undefined): TaughtResin =>
	catalystPercent !== undefined && isCatalysed(resin.family) ? { ...resin, catalystPercent } : resin;
