import { z } from 'zod';
import { WALL_KINDS } from '../cure';
import { releaseRecord, resinRecord } from '../shelf';
import { fillerFields } from '../shelf/filler';
import { shotInputs } from '../shot';
import { mm, piece, workshop } from './castParts';

const id = z
	.string()
	.trim()
	.min(1, 'Give it an id, so that the cast can name it.')
	.max(40, 'Keep it under 40 characters.');
const mould = z.object({
	wallMm: mm('wall of the mould').default(12),
	wall: z.enum(WALL_KINDS).optional(),
	/** An open face. */
	open: z.boolean().default(false),
	/** Moulds there are, or cavities: copies that can be poured at once. */
	count: z.number().int().min(1, 'At least one mould.').max(60, 'At most 60 moulds at once.').default(1),
	/** Outer volume of all of them, as the pot takes them up. */
	outsideMl: z.number().min(1).max(1e6).optional(),
	/** What its face is made of, where it is no silicone: what meets the resin is then said. */
	face: z.enum(['bought', 'printed', 'cast resin']).optional()
});

const colour = z.object({
	name: z.string().trim().min(1).max(60),
	part: z.enum(['A', 'B']),
	/** Of the mixed resin. */
	percent: z.number().positive('A colour weighs something.').max(30, 'Over 30 % of colour: check it.'),
	dropsPerG: z.number().positive().max(1000).optional(),
	powder: z.boolean().optional()
});

/** A cast of any kind as scripts ask for it: what the page of a shot asks, and the records inline. */
export const castQuery = z.object({
	...shotInputs.omit({ masterId: true, mouldIds: true, resinId: true, releaseId: true, potId: true }).shape,
	piece,
	mould: mould.prefault({}),
	/** Other pieces that `also` names by their ids, each in a mould of its own. */
	others: z
		.array(
			z.object({
				id,
				name: z.string().trim().min(1).max(120),
				cavityVolumeMl: piece.shape.cavityVolumeMl,
				sprueVolumeMl: z.number().min(0).max(100_000).default(0),
				cavities: z.number().int().min(1).max(60).default(1),
				thinnestMm: mm('thinnest place').optional(),
				thickestMm: mm('thickest place').optional(),
				wallMm: mm('wall of the mould').default(12)
			})
		)
		.max(20, 'At most 20 other pieces.')
		.default([]),
	resin: resinRecord,
	release: releaseRecord.optional(),
	/** Fillers by the ids that `fillerId` and the layers use. */
	fillers: z.array(fillerFields.extend({ id })).max(20, 'At most 20 fillers.').default([]),
	/** Colours by the ids that `recipeId`, cups and layers use. */
	recipes: z
		.array(
			z.object({
				id,
				name: z.string().trim().min(1).max(60),
				lengtheningPercent: z.number().min(0).max(300).default(0),
				colours: z.array(colour).min(1, 'A recipe has a colour.').max(12)
			})
		)
		.max(20, 'At most 20 recipes.')
		.default([]),
	/** Of the workshop what is not as usual: scale, margin, pot. */
	workshop
});
export type CastQuery = z.input<typeof castQuery>;
