import { z } from 'zod';
import { INSERT_MATERIALS, INSERT_WAYS } from './materials';

const size = (what: string) =>
	z
		.number({ error: `Type its ${what}, such as 2 mm or 1/8 in.` })
		.positive(`Its ${what} must be more than nothing.`)
		.max(5000, 'Over 5 m: check the unit.')
		.optional();

/** Something set into a cast: wire, a weight, a hanging plate. */
export const insertInput = z.object({
	name: z.string().trim().min(1, 'Say what is set in.').max(60, 'Keep it under 60 characters.'),
	massG: z
		.number({ error: 'Type what it weighs, such as 12 g.' })
		.min(0, 'It cannot weigh less than nothing.')
		.max(1e6, 'Over a tonne: check the unit.'),
	volumeMl: z
		.number({ error: 'Type its volume, such as 2 ml: by water, or choose what it is made of.' })
		.min(0, 'It cannot take less than nothing.')
		.max(1e6, 'Over a cubic metre: check the unit.'),
	by: z.enum(INSERT_WAYS).optional(),
	material: z.enum(INSERT_MATERIALS).optional(),
	diameterMm: size('diameter'),
	lengthMm: size('length')
});
export type Insert = z.output<typeof insertInput>;
