import { z } from 'zod';
import { fillerMixInput } from '../cure/record';

export const amountShape = z.object({ massG: z.number(), volumeMl: z.number() });
export const namedAmount = amountShape.extend({ name: z.string() });
export const catalystShape = amountShape.extend({
	drops: z.number(),
	/** The most of a dropper that nobody counted. */
	dropsMost: z.number().optional()
});

/** A colour as it goes into one of the cups. */
export const colourDose = z.object({
	name: z.string(),
	part: z.enum(['A', 'B']),
	massG: z.number(),
	drops: z.number().optional(),
	/** Dry grains that can be breathed in, not a dye or a paste. */
	powder: z.boolean().optional()
});

/** Clocks of one layer, s, each from its own pour. */
const times = z.object({
	thicknessMm: z.number(),
	/** When it is poured, s after the first layer; plans of earlier versions do not say. */
	pouredS: z.number().optional(),
	/** When its cup is combined, s after the layer below was poured; plans of earlier versions do not say. */
	combinedS: z.number().optional(),
	/** Rolled until it is carried and stays. */
	lockS: z.number(),
	gelS: z.number(),
	/** When the next bonds to it. */
	recoatFromS: z.number(),
	recoatUntilS: z.number()
});
export type LayerTimes = Omit<z.output<typeof times>, 'pouredS'> & { pouredS: number };

/**
 * One layer of a cast, with its cup for all copies that are worked on together: the one shape of it in the plan of a
 * shot, on the bench, on the card and in the ledger.
 */
export const layer = times.extend({
	a: amountShape,
	b: amountShape,
	catalyst: catalystShape.optional(),
	potLifeS: z.number(),
	serves: z.string(),
	/** Left standing it runs down before it gels. */
	sags: z.boolean().optional(),
	/** Rolled round, poured flat, or brushed on; rolled unless said. */
	way: z.enum(['roll', 'flat', 'brush']).optional(),
	/** Brushed: how long spreading it into every corner takes, s; plans of earlier versions do not say. */
	layS: z.number().optional(),
	/** Rolled: turns between locking and gel. */
	turns: z.number().optional(),
	fillers: z.array(namedAmount).optional(),
	/** The same as heat and viscosity see them; plans of earlier versions do not say. */
	fillerMix: fillerMixInput.optional(),
	colours: z.array(colourDose).optional(),
	/** Poured flat: how high it stands above the floor of the mould afterwards, mm. */
	levelMm: z.number().optional(),
	/** Set on it once it has gelled. */
	setsIn: z.array(z.string()).optional(),
	/** What becomes of its cup where it is left standing: hottest, and when, s after combining. */
	standing: z.object({ peakTempC: z.number(), peakTimeS: z.number() }).optional()
});
export type Layer = z.output<typeof layer>;

/** A layer as the version before kept it with a shot: all its clocks ran from the pour of the first layer. */
type EarlierLayer = Omit<Layer, 'pouredS'> & { startS: number };

/**
 * A kept layer with its clocks from its own pour, whichever version kept it.
 * @example
 * keptLayer({ index: 0, startS: 600, lockS: 660, gelS: 800, recoatFromS: 800, recoatUntilS: 1500 } as never).lockS; // 60
 */
export function keptLayer(kept: Layer | EarlierLayer): Layer {
	if (!('startS' in kept)) return kept;
	const { startS, ...l } = kept;
	return {
		...l,
		pouredS: startS,
		lockS: l.lockS - startS,
		gelS: l.gelS - startS,
		recoatFromS: l.recoatFromS - startS,
		recoatUntilS: l.recoatUntilS - startS
	};
}
