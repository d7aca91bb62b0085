import { z } from 'zod';

const size = (what: string) =>
	z
		.number({ error: `Type the ${what}, such as 90 mm or 3 1/2 in.` })
		.positive(`The ${what} must be more than nothing.`)
		.max(3000, 'Over 3 m: check the unit.')
		.optional();

/** A container that is at hand, by its inside, and how high the rubber is to stand in it. */
export const givenFields = {
	givenAs: z.enum(['tube', 'box', 'bucket']).default('tube'),
	givenLengthMm: size('length inside'),
	givenWidthMm: size('width inside'),
	givenDiameterMm: size('diameter inside'),
	/** A bucket is wider at its mark than at its floor. */
	givenTopMm: size('diameter at the fill mark'),
	givenFillMm: size('height of the fill')
} as const;
