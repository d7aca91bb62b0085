import { cup } from '../cure/cup';
import { fillerMixOf } from '../mix/fillerMixOf';
import { mix, type Filler } from '../mix/mix';
import { FILLER_HEAT } from '../shelf/filler';
import { cureOf, mixable } from '../shelf/resinSums';
import { InputError } from '../working';
import { digits } from '../units';
import type { ColourDose } from './dose';
import type { Inputs } from './inputs';
import type { ShotContext } from './planned';

/** Resin and catalyst as the mixing sum wants them. */
export function resinOf(context: ShotContext) {
	const { densityAGPerMl, densityBGPerMl, ratio, catalyst } = mixable(context.resin);
	return {
		resin: { densityAGPerMl, ...(densityBGPerMl && ratio ? { densityBGPerMl, ratio } : {}) },
		...(catalyst ? { catalyst } : {})
	};
}

/** The filler that was chosen, as a share of the whole by weight. */
export function fillersOf(inputs: Inputs, context: ShotContext, percent = inputs.fillerPercent): Filler[] {
	if (!context.filler || !inputs.fillerId || !(percent > 0)) return [];
	const { name, densityGPerMl, bulkDensityGPerMl } = context.filler;
	return [
		{
			name,
			densityGPerMl,
			...(bulkDensityGPerMl === undefined ? {} : { bulkDensityGPerMl }),
			amount: percent,
			per: 'total-mass-percent'
		}
	];
}

/** What heat sees of the grains of the shot's filler. */
const grainsOf = (context: ShotContext) => FILLER_HEAT[context.filler?.family ?? 'mineral powder'];

/** Amounts of a cup of so much volume, and its own pot life. */
export function cupOf(
	volumeMl: number,
	fillers: Filler[],
	inputs: Inputs,
	context: ShotContext,
	startTempC = inputs.startTempC
) {
	const mixed = mix({
		...resinOf(context),
		target: { volumeMl },
		fillers,
		scaleResolutionG: context.settings.scaleResolutionG
	});
	const fillerMix = mixed.fillers.length > 0 ? fillerMixOf(mixed, () => grainsOf(context)) : undefined;
	const clock = cup({
		resin: { ...cureOf(context.resin, context.rateFactor), ...(fillerMix ? { fillerMix } : {}) },
		massG: mixed.total.massG,
		startTempC,
		roomTempC: inputs.roomTempC
	});
	return { mixed, clock, ...(fillerMix ? { fillerMix } : {}) };
}

/** The chosen recipe's colours for so much mixed resin, each into its own side. */
export function coloursFor(recipeId: string, resinG: number, context: ShotContext): ColourDose[] {
	if (!recipeId) return [];
	const recipe = context.recipes?.find((r) => r.id === recipeId);
	if (!recipe) throw new InputError(['recipeId'], 'This colour recipe is no longer on the shelf.');
	return recipe.colours.map((c) => ({
		name: c.name,
		part: c.part,
		massG: (c.percent * resinG) / 100,
		...(c.powder ? { powder: true } : {}),
		...(c.dropsPerG === undefined ? {} : { drops: Math.round((c.dropsPerG * c.percent * resinG) / 100) })
	}));
}

/**
 * A resin whose cure takes longer by so many percent more.
 * @example
 * lengthenedResin({ lengtheningPercent: 10 }, 33); // { lengtheningPercent: 43 }
 */
export const lengthenedResin = <R extends { lengtheningPercent?: number | undefined }>(
	resin: R,
	percent = 0
): R => (percent > 0 ? { ...resin, lengtheningPercent: (resin.lengtheningPercent ?? 0) + percent } : resin);

/**
 * The same records with a resin that cures as slowly as this recipe makes it: what colour lengthens is heeded by pot
 * life, demould and layers as it is where colour is mixed.
 */
export function lengthened(context: ShotContext, recipeId: string | undefined): ShotContext {
	const more = context.recipes?.find((r) => r.id === recipeId)?.lengtheningPercent ?? 0;
	return more > 0 ? { ...context, resin: lengthenedResin(context.resin, more) } : context;
}

/** What is set in, or the sentence that says that it does not go in. */
export function insertsMl(inputs: Inputs, context: ShotContext): number {
	const ml = (inputs.inserts ?? []).reduce((sum, i) => sum + i.volumeMl, 0);
	if (ml >= context.cavityVolumeMl) {
		throw new InputError(
			['inserts'],
			`What is set in takes ${digits(ml)} ml and the cavity holds ${digits(context.cavityVolumeMl)} ml.`
		);
	}
	return ml;
}
