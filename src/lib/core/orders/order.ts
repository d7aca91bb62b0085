import { z } from 'zod';
import { ORDER_STATES } from './states';

/** So many copies a line may want. */
export const MOST_COPIES = 2000;

/** A line of an order: so many copies of what a kept shot casts. */
export const orderLine = z.object({
	id: z.uuid(),
	/** The kept shot is its recipe: piece, kind of cast, resin, colour, moulds. */
	shotId: z.uuid('Choose the shot that it is cast by; size one first where there is none.'),
	copies: z
		.number({ error: 'Type how many copies, such as 12.' })
		.int('Copies are whole.')
		.min(1, 'At least one copy.')
		.max(
			MOST_COPIES,
			`At most ${MOST_COPIES} copies in a line: make several orders of it, each with its own day.`
		),
	/** Trimming, sanding, painting of one copy, minutes of a pair of hands. */
	finishMinutes: z
		.number({ error: 'Type the minutes that finishing one takes, such as 10, or 0.' })
		.min(0, 'It takes no less than nothing.')
		.max(24 * 60, 'Over a day for one copy: check the unit.')
		.default(0),
	/** Copies that are finished so far; of the good ones those that were cast first. */
	finished: z
		.number()
		.int()
		.min(0)
		.max(MOST_COPIES * 2)
		.optional(),
	/** From the pour until it may be posted, h: full hardness takes about a day (common practice, no source). */
	hardenHours: z
		.number({ error: 'Type the hours from pour to posting, such as 24.' })
		.min(0, 'It takes no less than nothing.')
		.max(24 * 60, 'Over two months: check the unit.')
		.default(24)
});
export type OrderLine = z.output<typeof orderLine>;

/** An order as it is kept. */
export const orderRecord = z.object({
	name: z
		.string({ error: 'Say who or what it is for.' })
		.trim()
		.min(1, 'Say who or what it is for.')
		.max(120, 'Keep it under 120 characters.'),
	state: z.enum(ORDER_STATES).default('asked'),
	/** Day and hour by which it is wanted. */
	dueAtMs: z
		.number({ error: 'Choose the day and hour by which it is wanted.' })
		.int('Choose the day and hour by which it is wanted.')
		.min(946_684_800_000, 'Choose the day and hour by which it is wanted.')
		.max(4_102_444_800_000, 'That is a long way off: check the year.'),
	/** 1 can wait, 3 usual, 5 before all others. */
	priority: z.number().int().min(1, '1 to 5.').max(5, '1 to 5.').default(3),
	note: z.string().trim().max(2000, 'Keep it under 2000 characters.').default(''),
	lines: z.array(orderLine).min(1, 'Add at least one line.').max(20, 'At most 20 lines: make a second order.')
});
export type OrderRecord = z.output<typeof orderRecord>;
