import { z } from 'zod';
import { PARTS } from './parts';

const moment = z.number().int();

const planned = z.object({
	id: z.string().max(120),
	part: z.enum(PARTS),
	startMs: moment,
	endMs: moment,
	hands: z.number().int(),
	orderId: z.string().optional(),
	lineId: z.string().optional(),
	shotId: z.string().optional(),
	batch: z.number().int().optional(),
	number: z.number().int().optional(),
	layer: z.number().int().optional(),
	pieceName: z.string().optional(),
	copies: z.number().int().optional(),
	moulds: z.array(z.string()).optional(),
	potId: z.string().optional(),
	mouldId: z.string().optional(),
	begun: z.literal(true).optional(),
	pinned: z.literal(true).optional(),
	load: z.array(z.string()).optional()
});

/** A plan as it is kept, with what it rests on and how sure its days are. */
export const keptOrdersPlan = z.object({
	/** What it was made from; a plan that rests on something else is stale. */
	restsOn: z.string().max(80),
	/** Activities that somebody has put to a time, ms since 1970. */
	pins: z.record(z.string(), moment),
	plan: z.object({
		madeAtMs: moment,
		status: z.enum(['feasible', 'infeasible', 'unknown']),
		activities: z.array(planned).max(20_000),
		orders: z.array(
			z.object({
				id: z.string(),
				readyAtMs: moment.nullable(),
				dueAtMs: moment,
				lateMs: z.number(),
				casts: z.number().int(),
				wanted: z.number().int()
			})
		),
		hindrances: z.array(
			z.object({
				orderId: z.string(),
				lineId: z.string(),
				casts: z.number().int(),
				why: z.string(),
				mend: z.string(),
				short: z.object({ stockId: z.string(), massG: z.number() }).optional()
			})
		),
		lateWeightedS: z.number(),
		finishMs: moment,
		boundMs: moment,
		proven: z.boolean(),
		conflict: z.array(z.string()),
		moved: z.number().int()
	}),
	outlooks: z.array(
		z.object({
			id: z.string(),
			chance: z.number().min(0).max(1),
			ninetyMs: z.number().nullable(),
			ninetyCasts: z.number(),
			runs: z.number().int().min(1)
		})
	)
});
export type KeptOrdersPlan = z.input<typeof keptOrdersPlan>;
