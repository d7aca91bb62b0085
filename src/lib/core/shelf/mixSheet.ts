import { bandOfTime, cup, cupBands, type CupResult, type TimeBand } from '../cure';
import type { FieldError } from '../fieldErrors';
import { valueOf, type Outcome } from '../outcome';
import { outcomeOf } from '../outcomeOf';
import { cupLossMl, mix, type MixResult } from '../mix';
import { fillerMixOf } from '../mix/fillerMixOf';
import { consistency, FILLER_HEAT, settlingMm, type FillerRecord } from './filler';
import { colourLoad, scaleRecipe, type ColourRecord, type RecipeRecord } from './colour';
import type { ResinRecord } from './resin';
import { cureOf, mixable, mixedDensityGPerMl, viscosityOf } from './resinSums';

/** How much of a filler, and what it is counted against. */
export type FillerPer = 'total-mass-percent' | 'phr' | 'b-volume-share' | 'b-mass-percent';
export interface MixFiller {
	record: FillerRecord;
	amount: number | undefined;
	per: FillerPer;
}
/** A colour of a recipe, percent of the mixed resin's mass. */
export interface MixColour {
	record: ColourRecord;
	percent: number;
}

interface MixSheetInput {
	resin: ResinRecord;
	/** One of the two that is wanted. */
	target: { volumeMl: number | undefined } | { massG: number | undefined };
	fillers: readonly MixFiller[];
	colours: readonly MixColour[];
	/** What stays in the cup and on tools is mixed besides. */
	addLoss: boolean;
	/** Of resin and room, °C. */
	tempC: number;
	scaleResolutionG: number;
}

/** Everything that is said of one mix. */
export interface MixSheet {
	/** Of the fresh resin at this temperature, mPa·s; 0 when its sheet says nothing. */
	freshMpaS: number;
	/** What stays in the cup and on tools, ml; 0 unless it is added. */
	lossMl: number;
	load: ReturnType<typeof colourLoad>;
	/** What was refused, by field. */
	errors: readonly FieldError[];
	result?: MixResult;
	/** Whether it still pours. */
	feel?: ReturnType<typeof consistency>;
	/** How this cup cures with its colours in it; fillers' own heat is left out, on the safe side. */
	cured?: CupResult & { potLifeBand: TimeBand };
	/** Fillers that sink (over 0) or float more than half a millimetre before gel, mm. */
	settling: readonly { name: string; mm: number }[];
	/** What weighing out as many grams as millilitres are wanted would leave it short, ml. */
	mistakeMl: number;
}

/**
 * Colours of a recipe that stand on the shelf, percent of the mixed resin's mass.
 * @example
 * coloursOf(reddish, [{ id: 'red', record: red }])[0]?.percent; // 0.5
 */
export function coloursOf(
	recipe: RecipeRecord | undefined,
	shelf: readonly { id: string; record: ColourRecord }[]
): MixColour[] {
	if (!recipe) return [];
	return scaleRecipe(recipe, 100).flatMap(({ colourId, percent }) => {
		const record = shelf.find((c) => c.id === colourId)?.record;
		return record ? [{ record, percent }] : [];
	});
}

const SETTLES_FROM_MM = 0.5;

/**
 * One mix with its fillers and colours: amounts, whether it pours, how long, and what settles. Never throws for
 * typed input.
 * @example
 * mixSheet({
 *   resin: urethane,
 *   target: { volumeMl: 100 },
 *   fillers: [],
 *   colours: [],
 *   addLoss: false,
 *   tempC: 23,
 *   scaleResolutionG: 0.1
 * }).errors; // []
 */
export function mixSheet(input: MixSheetInput): MixSheet {
	const { resin, fillers, colours, tempC } = input;
	const load = colourLoad(colours);
	const freshMpaS = viscosityOf(resin, tempC);
	const wantedMl = 'volumeMl' in input.target ? input.target.volumeMl : undefined;
	const lossMl =
		input.addLoss && wantedMl !== undefined && wantedMl > 0 && freshMpaS > 0
			? cupLossMl(wantedMl, freshMpaS)
			: 0;
	const base = { freshMpaS, lossMl, load, settling: [], mistakeMl: 0 };
	const made = amountsOf(input, lossMl);
	if (!made.ok) return { ...base, errors: made.errors };
	const result = made.value;
	const cured = cureOfCup(
		resin,
		result,
		fillers.map((f) => f.record.family),
		load.lengtheningPercent,
		tempC
	);
	return {
		...base,
		errors: [],
		result,
		feel: consistency(
			freshMpaS,
			result.viscosityFactor,
			fillers.flatMap(({ record }, i) => {
				const loose = result.fillers[i]?.looseVolumeMl;
				const per = result.b.volumeMl > 0 ? result.b.volumeMl : result.a.volumeMl;
				return loose === undefined ? [] : [{ record, scoopsPerB: loose / per }];
			})
		),
		...(cured ? { cured } : {}),
		settling: cured
			? fillers.flatMap(({ record }) => {
					const mm = settlingMm(record, mixedDensityGPerMl(resin), freshMpaS, cured.gelTimeS);
					return mm !== undefined && Math.abs(mm) > SETTLES_FROM_MM ? [{ name: record.name, mm }] : [];
				})
			: [],
		mistakeMl: wantedMl ? wantedMl - wantedMl / result.total.densityGPerMl : 0
	};
}

function amountsOf(
	{ resin, target, fillers, colours, scaleResolutionG }: MixSheetInput,
	lossMl: number
): Outcome<MixResult> {
	const m = mixable(resin);
	return outcomeOf(() =>
		mix({
			resin: {
				densityAGPerMl: m.densityAGPerMl,
				...(m.ratio && m.densityBGPerMl ? { densityBGPerMl: m.densityBGPerMl, ratio: m.ratio } : {})
			},
			...(m.catalyst ? { catalyst: m.catalyst } : {}),
			// what is not typed is refused by the mix itself, at its field
			target:
				'volumeMl' in target
					? { volumeMl: (target.volumeMl as number) + lossMl }
					: { massG: target.massG as number },
			fillers: [
				...fillers.map(({ record, amount, per }) => ({
					name: record.name,
					densityGPerMl: record.densityGPerMl,
					bulkDensityGPerMl: record.bulkDensityGPerMl,
					amount: amount as number,
					per
				})),
				// a colour takes up room like a filler; its recipe is counted to 100 of mixed resin
				...colours.map(({ record, percent }) => ({
					name: record.name,
					densityGPerMl: record.densityGPerMl,
					amount: percent,
					per: 'phr' as const
				}))
			],
			scaleResolutionG
		})
	);
}

/** Nothing when the cure engine has no forecast for this cup: then nothing is said about time or settling. */
function cureOfCup(
	resin: ResinRecord,
	mixed: MixResult,
	families: readonly FillerRecord['family'][],
	lengtheningPercent: number,
	tempC: number
): (CupResult & { potLifeBand: TimeBand }) | undefined {
	const record = cureOf({
		...resin,
		lengtheningPercent: (resin.lengtheningPercent ?? 0) + lengtheningPercent
	});
	// colours stand behind the fillers, and are grains like a mineral’s
	const fillerMix =
		mixed.fillers.length > 0
			? fillerMixOf(mixed, (i) => FILLER_HEAT[families[i] ?? 'mineral powder'])
			: undefined;
	const question = {
		resin: fillerMix ? { ...record, fillerMix } : record,
		massG: Math.max(0.1, mixed.total.massG),
		startTempC: tempC,
		roomTempC: tempC
	};
	return valueOf(
		outcomeOf(() => {
			const clock = cup(question);
			return { ...clock, potLifeBand: bandOfTime(clock.potLifeS, cupBands(question).potLifeS) };
		})
	);
}
