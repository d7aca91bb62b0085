import { z } from 'zod';

/** Another piece that is filled from the same cup, as it is typed. */
export const alsoInput = z.object({
	mouldId: z.string().min(1, 'Choose the mould that is filled as well.'),
	/** Of it from each cup. */
	copies: z
		.number({ error: 'Type how many of it each cup fills, such as 1.' })
		.int('Copies are whole.')
		.min(1, 'At least one, or take the line out.')
		.max(50, 'Over 50 from one cup: check it.')
		.default(1)
});
export type AlsoInput = z.output<typeof alsoInput>;
