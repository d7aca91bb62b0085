import { z } from 'zod';
import { ratioInput } from './ratio';

const amount = z.number().min(0, 'An amount cannot be less than nothing.').max(1e6);

/** What stands in the cups already, in the ratio's own kind: grams by weight, millilitres by volume. */
export const correctPourInput = z.strictObject({
	ratio: ratioInput,
	pouredAG: amount.optional(),
	pouredBG: amount.optional(),
	pouredAMl: amount.optional(),
	pouredBMl: amount.optional(),
	capacityG: z.number().positive('The cup must hold something.').optional(),
	capacityMl: z.number().positive('The cup must hold something.').optional()
});
export type CorrectPourInput = z.infer<typeof correctPourInput>;
