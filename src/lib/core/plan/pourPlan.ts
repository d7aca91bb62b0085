import { z } from 'zod';
import { EARLIER_MEASURING, idSchema } from '../earlierIds';
import { sectionsInput } from '../cure/sections';
import { cureRecord, fillerMixInput, type CureRecord, type FillerMix } from '../cure/record';
import { MEASURING_SCHOOLS } from '../mix/measuring';
import { MOULD_KINDS } from '../mould/kinds/names';
import { FILL_KINDS } from '../shot/kinds/filled/fills';
import { amountShape, catalystShape, colourDose, layer, namedAmount } from '../shot/layer';
import { layerAmount } from '../shot/layerAmount';
import { COLOUR_SCHOOL_KEYS } from '../shot/colourSchools';
import { POUR_PLACE_KEYS, POUR_WAY_KEYS, STEP_ROLES } from '../shot/pouring';
import { stamp } from './stamps';
import { benchStep, keptWarning } from './step';

const timeBand = z.object({ lowS: z.number(), highS: z.number(), mostly: z.string() });

/** One of several cups of different colour that are poured together. */
const colourCup = z.object({
	name: z.string(),
	a: amountShape,
	b: amountShape,
	massG: z.number(),
	startTempC: z.number(),
	potLifeS: z.number(),
	/** When it is warm enough to stay apart from the others, s after its own combining. */
	warmS: z.number().optional(),
	colours: z.array(colourDose),
	/** Its fillers as heat and viscosity see them. */
	fillerMix: fillerMixInput.optional(),
	catalyst: catalystShape.optional()
});

/**
 * What was planned for one batch, frozen when the pour begins: later changes to the shelf or the shot do
 * not rewrite what was meant at the bench.
 */
export const pourPlan = z.object({
	/** The form of plan; those of the version before have none. */
	version: z.number().int().optional(),
	/** Its steps, made once when the pour began: no later release of the application moves them. */
	bench: z.array(benchStep).optional(),
	/** The records that it rests on, as they were. */
	stamps: z.array(stamp).optional(),
	shotId: z.string(),
	batchIndex: z.number().int().min(0),
	batchCount: z.number().int().min(1),
	/** Pull after pull of the same cast: with which pour the run began, which pull of it this is, how many are wanted. */
	series: z
		.object({
			first: z.string(),
			number: z.number().int().min(2),
			wanted: z.number().int().min(1).optional()
		})
		.optional(),
	/** It goes into its pot with others: which closing, which one of it from 0, and what else stands in it. */
	potLoad: z
		.object({
			id: z.string().max(120),
			place: z.number().int().min(0),
			others: z.array(z.object({ masterName: z.string(), moulds: z.array(z.string()) }))
		})
		.optional(),
	/** Cast for a line of an order, and which pull of it this is. */
	order: z.object({ id: z.string(), lineId: z.string(), number: z.number().int().min(1) }).optional(),
	masterName: z.string(),
	moulds: z
		.array(
			z.object({
				id: z.string(),
				number: z.number().int(),
				label: z.string(),
				copies: z.number().int().min(1),
				/** What kind of mould it is; plans of the version before do not say. */
				kind: z.enum(MOULD_KINDS).optional(),
				/** What is cast in it, where that is not the pour's own piece. */
				masterName: z.string().optional()
			})
		)
		.min(1),
	resinName: z.string(),
	/** Sizes of the master that a cast is measured by. */
	references: z.array(z.object({ name: z.string(), lengthMm: z.number() })).optional(),
	/** Lots of the tins in use. */
	lots: z.array(z.string()).optional(),
	/** Pockets that trap air in the pouring position. */
	traps: z.number().optional(),
	/** What its moulds with their sprues take by the sums, g, without what stays in a cup; plans of earlier versions do not say. */
	netG: z.number().positive().optional(),
	/** What earlier pours took, where it is mixed by that. */
	taken: z
		.object({ share: z.number(), pours: z.number().int(), lastLeftG: z.number(), lastMixedG: z.number() })
		.optional(),
	/** What the mould is coated with, and how long that flashes off. */
	release: z
		.object({
			name: z.string(),
			kind: z.string(),
			flashOffS: z.number(),
			/** It is put on again after so many pulls; nothing: before every one. */
			everyPulls: z.number().int().min(1).optional(),
			/** It is on already and stays on: so many pulls it has borne. */
			borne: z.number().int().min(1).optional()
		})
		.optional(),
	/** Pairs that are known to harm, said before anything is poured. */
	touches: z.array(keptWarning).optional(),
	/** What is old or doubtful about the tins that it takes from. */
	stock: z.array(keptWarning).optional(),
	/** The cure engine's record as it stood, so that readings at the bench can correct the forecast. */
	cure: cureRecord.optional(),
	section: sectionsInput.optional(),
	/** Plaster, and what is melted, have no cure engine: their times are those that were typed. */
	chemistry: z.enum(['urethane', 'polyester', 'epoxy', 'plaster', 'melt']),
	a: amountShape,
	b: amountShape,
	catalyst: catalystShape.optional(),
	/** Of wax and soap: how hot it is poured, °C, and what of it is kept to top up, g. */
	melt: z.object({ pourTempC: z.number(), topUpG: z.number() }).optional(),
	/** Tins that the parts are taken from, as far as they are known. */
	containers: z
		.object({
			a: z.string().optional(),
			b: z.string().optional(),
			/** Of fillers, by their names; plans of earlier versions do not say. */
			fillers: z.record(z.string(), z.string()).optional()
		})
		.optional(),
	fillers: z.array(namedAmount).optional(),
	/** Colour in doses, each into its own side before the two meet. */
	colours: z.array(colourDose).optional(),
	/** The maker's own cup that marks are given for. */
	markCup: z
		.object({
			name: z.string(),
			floorMm: z.number(),
			rimMm: z.number(),
			heightMm: z.number(),
			graduated: z.enum(['none', 'ml', 'floz'])
		})
		.optional(),
	/** Which school of measuring; plans from before there was a choice have none: two cups. */
	measuring: idSchema(MEASURING_SCHOOLS, EARLIER_MEASURING).optional(),
	/** Catalysed: when the slowest place comes to each stage, s after the pour; plans of earlier versions do not say. */
	stages: z.object({ gelS: z.number(), softS: z.number(), firmS: z.number(), hardS: z.number() }).optional(),
	/** It takes up water: what is stirred in as a filler is that. */
	waterExtended: z.boolean().optional(),
	/** The workshop's humidity from which urethane is not poured, percent; plans of the version before have none. */
	stopHumidityPercent: z.number().optional(),
	/** How far the ratio may be off, percent. */
	tolerancePercent: z.number().optional(),
	/** How each mould is closed, and what too little and too much of it does. */
	closing: z
		.array(z.object({ mould: z.string(), how: z.string(), little: z.string(), much: z.string() }))
		.optional(),
	/** Moulds that stand ready for what is left over. */
	spares: z.array(z.object({ number: z.number(), label: z.string(), volumeMl: z.number() })).optional(),
	pouring: z.object({ way: z.enum(POUR_WAY_KEYS), place: z.enum(POUR_PLACE_KEYS) }).optional(),
	/** Colours poured together: one cup each; A and B are those of all cups. */
	cups: z.array(colourCup).optional(),
	/** How they are combined; plans of earlier versions: cup after cup. */
	colourSchool: z.enum(COLOUR_SCHOOL_KEYS).optional(),
	/** Poured when the cups are this warm, so that swirled colours stay apart, °C. */
	pourTempC: z.number().optional(),
	/** Metal dusted on the face before anything is poured. */
	dust: z.object({ name: z.string(), massG: z.number() }).optional(),
	scaleResolutionG: z.number().optional(),
	scaleCapacityG: z.number().optional(),
	/** Set into each copy before it is closed. */
	inserts: z.array(z.object({ name: z.string(), massG: z.number() })).optional(),
	/** Rotocast: one cup after another into the same moulds; A and B are those of all layers together. */
	layers: z.array(layer).optional(),
	/** Of a hollow cast, its rim as it stays: what is measured of it is held against this. */
	rim: z.object({ highMm: z.number(), thickMm: z.number() }).optional(),
	/** What the shell is filled with once it has set. */
	fill: z
		.object({
			words: z.string(),
			/** Plans of earlier versions say it in words alone. */
			kind: z.enum(FILL_KINDS).optional(),
			mixG: z.number(),
			fillMl: z.number(),
			/** Plaster: the parts of what is mixed. */
			powderG: z.number().optional(),
			waterG: z.number().optional(),
			/** Filled after it has come out of its mould. */
			outside: z.boolean().optional()
		})
		.optional(),
	massG: z.number(),
	markAMm: z.number(),
	markBMm: z.number(),
	cupDiameterMm: z.number(),
	potLifeS: z.number(),
	gelTimeS: z.number(),
	usableS: z.number(),
	/** Kept back of a pot life for slips, %; plans of earlier versions do not say. */
	marginPercent: z.number().optional(),
	/** Where four of five pot lives and demoulds fall, s. */
	potLifeBand: timeBand.optional(),
	demouldBand: timeBand.optional(),
	/** The maker's own repeated demould in this mould, s after the pour. */
	ownDemould: z.object({ lowS: z.number(), highS: z.number(), pulls: z.number() }).optional(),
	/** From then until it is demoulded it may be bent out, s after it was poured. */
	flexibleS: z.number().optional(),
	/** It is taken out while it still gives: the demould is from when it may be bent, and until it is stiff, s. */
	out: z.object({ stiffS: z.number() }).optional(),
	steps: z.array(z.object({ name: z.string(), durationS: z.number(), role: z.enum(STEP_ROLES) })).min(1),
	pot: z
		.object({
			/** The vessel in the books; plans from before there were any have none. */
			vesselId: z.string().optional(),
			name: z.string(),
			targetGaugeKpa: z.number(),
			ratedGaugeKpa: z.number(),
			bubbleDiameterRatio: z.number()
		})
		.optional(),
	holdUntilS: z.number(),
	demouldS: z.number(),
	roomTempC: z.number(),
	relativeHumidity: z.number(),
	mouldTempC: z.number(),
	startTempC: z.number()
});
export type PourPlan = z.input<typeof pourPlan>;

/** A cup whose clock is asked for: with its fillers where they are known to heat, else the resin alone. */
export interface ClockCup {
	massG: number;
	startTempC: number;
	fillerMix?: FillerMix | undefined;
}

/**
 * The cups of a pour, each with a clock of its own: the one of a solid shot, each layer's, each of colours poured
 * together. Plans of earlier versions do not say what heat sees of a filler: there the resin alone counts.
 * @throws ZodError when the input is outside its schema.
 * @example
 * clockCups(planOf()).length; // 1
 */
export function clockCups(
	plan: Pick<PourPlan, 'massG' | 'fillers' | 'layers' | 'cups' | 'startTempC' | 'cure'>
): ClockCup[] {
	const both = (c: { a: { massG: number }; b: { massG: number } }) => c.a.massG + c.b.massG;
	const { startTempC } = plan;
	if (plan.cups)
		return plan.cups.map((c) =>
			c.fillerMix
				? { massG: c.massG, startTempC: c.startTempC, fillerMix: fillerMixInput.parse(c.fillerMix) }
				: { massG: both(c), startTempC: c.startTempC }
		);
	if (plan.layers?.length)
		return plan.layers.map((l) =>
			l.fillerMix
				? { massG: layerAmount(l).massG, startTempC, fillerMix: fillerMixInput.parse(l.fillerMix) }
				: { massG: both(l), startTempC }
		);
	const fillersG = plan.cure?.fillerMix ? 0 : (plan.fillers ?? []).reduce((sum, f) => sum + f.massG, 0);
	return [{ massG: plan.massG - fillersG, startTempC }];
}

/**
 * The cure record of one cup.
 * @example
 * resinIn({}, whiteInMould.resin).potLifeS; // 150
 */
export const resinIn = (cup: Pick<ClockCup, 'fillerMix'>, cure: CureRecord): CureRecord =>
	cup.fillerMix ? { ...cure, fillerMix: cup.fillerMix } : cure;
