import { z } from 'zod';
import { partInput } from '../cure/part';
import { cureRecord } from '../cure/record';

const amount = z.object({ massG: z.number(), volumeMl: z.number() });

/** One layer of a rotocast as it was planned; its clocks run from its own pour, s. */
const layerPlan = z.object({
	a: amount,
	b: amount,
	catalyst: z.object({ massG: z.number(), volumeMl: z.number(), drops: z.number() }).optional(),
	thicknessMm: z.number(),
	potLifeS: z.number(),
	/** Rolled until it is carried and stays. */
	lockS: z.number(),
	gelS: z.number(),
	recoatFromS: z.number(),
	recoatUntilS: z.number(),
	serves: z.string(),
	fillerPercent: z.number()
});

/**
 * What was planned for one batch, frozen when the pour begins: later changes to the shelf or the shot do
 * not rewrite what was meant at the bench.
 */
export const pourPlan = z.object({
	shotId: z.string(),
	batchIndex: z.number().int().min(0),
	batchCount: z.number().int().min(1),
	masterName: z.string(),
	moulds: z
		.array(
			z.object({
				id: z.string(),
				number: z.number().int(),
				label: z.string(),
				copies: z.number().int().min(1)
			})
		)
		.min(1),
	resinName: z.string(),
	/** What the mould is coated with, and how long that flashes off. */
	release: z.object({ name: z.string(), kind: z.string(), flashOffS: z.number() }).optional(),
	/** The cure engine's record as it stood, so that readings at the bench can correct the forecast. */
	cure: cureRecord.optional(),
	section: z
		.object({ section: partInput.shape.section, mouldWallMm: partInput.shape.mouldWallMm })
		.optional(),
	chemistry: z.enum(['urethane', 'polyester', 'epoxy']),
	a: amount,
	b: amount,
	catalyst: z.object({ massG: z.number(), volumeMl: z.number(), drops: z.number() }).optional(),
	/** Tins that the parts are taken from, as far as they are known. */
	containers: z.object({ a: z.string().optional(), b: z.string().optional() }).optional(),
	fillers: z.array(z.object({ name: z.string(), massG: z.number(), volumeMl: z.number() })).optional(),
	/** Set into each copy before it is closed. */
	inserts: z.array(z.object({ name: z.string(), massG: z.number() })).optional(),
	/** Rotocast: one cup after another into the same moulds; A and B are those of all layers together. */
	layers: z.array(layerPlan).optional(),
	/** What the shell is filled with once it has set. */
	fill: z.object({ words: z.string(), mixG: z.number(), fillMl: z.number() }).optional(),
	massG: z.number(),
	markAMm: z.number(),
	markBMm: z.number(),
	cupDiameterMm: z.number(),
	potLifeS: z.number(),
	gelTimeS: z.number(),
	usableS: z.number(),
	steps: z
		.array(
			z.object({ name: z.string(), durationS: z.number(), role: z.enum(['mix', 'pour', 'load', 'pump']) })
		)
		.min(1),
	pot: z
		.object({
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
