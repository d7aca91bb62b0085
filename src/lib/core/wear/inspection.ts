import { z } from 'zod';
import { LIMIT, SIGN_NAMES } from './signs';

const score = z
	.number({ error: 'Score it from 0 to 5.' })
	.int('A whole score, 0 to 5.')
	.min(0, 'From 0, as new.')
	.max(LIMIT, 'To 5, out of use.');

/** A place on a mould that is known to be bad: where on its sketch, in hundredths of its width and height. */
export const spot = z.object({
	x: z.number().min(0).max(100),
	y: z.number().min(0).max(100),
	what: z.string().trim().min(1, 'Say what is there.').max(80, 'Keep it under 80 characters.')
});
export type Spot = z.output<typeof spot>;

/** One look at a mould; what was not looked at is left out. */
export const mouldInspection = z
	.object({
		scores: z.partialRecord(z.enum(SIGN_NAMES), score),
		/** Whoever looked. */
		by: z.string().max(60).optional(),
		spots: z.array(spot).max(40, 'At most 40 places.').default([]),
		note: z.string().trim().max(2000, 'Keep the note under 2000 characters.').default('')
	})
	.refine((l) => Object.values(l.scores).some((s) => s !== undefined), {
		path: ['scores'],
		error: 'Score at least one sign.'
	});
export type MouldInspection = z.output<typeof mouldInspection>;
