import { z } from 'zod';
import { castFindings, faultId } from '../bench/events';
import { DEMOULD_SIGNS } from '../cure/demouldLearning';
import {
	castableRecord,
	colourRecord,
	fillerRecord,
	markCupRecord,
	recipeRecord,
	releaseRecord,
	resinRecord,
	rubberRecord,
	thermoplasticRecord
} from '../shelf';

/** The record of each kind of material on the shelf. */
export const MATERIAL_RECORDS = {
	resin: resinRecord,
	rubber: rubberRecord,
	filler: fillerRecord,
	colour: colourRecord,
	recipe: recipeRecord,
	release: releaseRecord,
	thermoplastic: thermoplasticRecord,
	cup: markCupRecord,
	castable: castableRecord
} as const;
export type MaterialKind = keyof typeof MATERIAL_RECORDS;
export const MATERIAL_KINDS = Object.keys(MATERIAL_RECORDS) as [MaterialKind, ...MaterialKind[]];

const seconds = z.number();
const kpa = z.number();

/** Planned and real of a pull, as it stood when it was written into the ledger; times in s after combining, but for hold and demould: s after it was full. */
export const pullBody = z.object({
	batchIndex: z.number().int(),
	batchCount: z.number().int(),
	/** Nothing where an old notebook does not say; the air likewise. */
	massG: z.number().nullable(),
	roomTempC: z.number().nullable(),
	relativeHumidity: z.number().nullable(),
	mouldTempC: z.number().nullable(),
	conditionsRead: z.boolean(),
	faults: z.array(faultId),
	note: z.string(),
	abandonedBecause: z.string().optional(),
	demouldSeen: z
		.array(z.object({ what: z.enum(DEMOULD_SIGNS), atS: z.number(), gelS: z.number(), modelS: z.number() }))
		.optional(),
	/** Where each fault is, what the cast weighs, one size against the master’s, and what mending took. */
	inspected: castFindings.optional(),
	/** What was left of the pour, g (short: below nothing), of what was mixed, and what its moulds take by the sums. */
	took: z
		.object({ mixedG: z.number(), leftG: z.number(), netG: z.number(), way: z.enum(['one', 'layers']) })
		.optional(),
	/** Marks of those who had the gloves on. */
	by: z.array(z.string().max(8)).optional(),
	/** Lots of the tins that it was poured from. */
	lots: z.array(z.string()).optional(),
	/** Peak at the mould's face by the part model, °C. */
	peakFaceC: z.number().optional(),
	/** Written off a notebook. */
	imported: z.literal(true).optional(),
	planned: z.object({
		potLifeS: seconds,
		usableS: seconds,
		pouredByS: seconds,
		settledByS: seconds,
		holdUntilS: seconds,
		demouldS: seconds,
		/** Of the cup that fills a cast in layers. */
		lastCupPotLifeS: seconds.optional()
	}),
	real: z.object({
		/** When the cup that fills it was combined, after the first: 0 where it is the first. Not in pulls of earlier versions. */
		lastCupFromS: seconds.optional(),
		pouredByS: seconds.optional(),
		settledByS: seconds.optional(),
		reachedS: seconds.optional(),
		releasedS: seconds.optional(),
		demouldS: seconds.optional()
	}),
	pot: z
		.looseObject({
			name: z.string(),
			targetGaugeKpa: kpa,
			reachedGaugeKpa: kpa.optional(),
			releasedGaugeKpa: kpa.optional()
		})
		.optional()
});

export type PullBody = z.infer<typeof pullBody>;

/** Once under pressure, by a pour or typed. */
export const cycleBody = z.object({
	load: z.string(),
	targetGaugeKpa: kpa,
	reachedGaugeKpa: kpa.optional(),
	timeToPressureS: seconds.optional(),
	lowestGaugeKpa: kpa.optional(),
	holdS: seconds.optional(),
	leakKpaPerMin: z.number().optional(),
	/** Its readings came from a simulator of an earlier version. */
	simulated: z.literal(true).optional(),
	by: z.string()
});

export type CycleBody = z.infer<typeof cycleBody>;

/** A correction as it is kept: the old value beside the new one, with who and why. */
export const correctionBody = z.object({
	field: z.string(),
	from: z.unknown(),
	to: z.unknown(),
	who: z.string(),
	why: z.string()
});

/** A look at a part of a vessel. */
export const vesselInspectionBody = z.object({ by: z.string(), note: z.string() });

/** What was foretold when a mould was looked at, pulls. */
export const inspectionForecast = z.object({ low: z.number(), median: z.number(), high: z.number() });

/** A worked-out figure; JSON knows no infinity, and writes nothing for a time that never comes. */
const figure = z.number().nullable();
const workingLines = z.array(
	z.looseObject({ what: z.string(), sum: z.string(), result: z.string(), source: z.string().optional() })
);
const warnings = z.array(z.looseObject({ code: z.string(), message: z.string(), action: z.string() }));
const part = z.looseObject({ massG: figure, volumeMl: figure });

/** Of a mould's plan what its pages read whatever its kind; the rest is shown as it stood. */
export const keptMouldPlan = z.looseObject({
	rubber: part,
	readyInS: figure,
	working: workingLines,
	warnings
});

/** Of a sized shot what lists, card and bench read whatever its kind; the rest is shown as it stood. */
export const keptShotResult = z.looseObject({
	shot: z.looseObject({
		batches: z
			.array(
				z.looseObject({
					copies: z.number().int().min(1),
					massG: figure,
					volumeMl: figure,
					a: part,
					b: part,
					potLifeS: figure,
					slackS: figure,
					steps: z.array(z.looseObject({ name: z.string(), durationS: figure }))
				})
			)
			.min(1, 'A shot has a cup.'),
		demouldS: figure,
		working: workingLines,
		warnings
	})
});

/** What a picture may be: read off its first bytes when it is kept, and never anything that a browser runs. */
export const PICTURE_TYPES = ['image/jpeg', 'image/png', 'image/webp'] as const;
export type PictureType = (typeof PICTURE_TYPES)[number];
