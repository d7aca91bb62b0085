import { z } from 'zod';

/** Below it a layer shows as a film, mm (a default of ours). */
export const LEAST_LAYER_MM = 2;

/** A thing that is cast in, where it lies. */
export const embedInput = z.object({
	name: z.string().trim().min(1, 'Say what is cast in.').max(60, 'Keep it under 60 characters.'),
	massG: z
		.number({ error: 'Type what it weighs, such as 3 g.' })
		.min(0, 'It cannot weigh less than nothing.')
		.max(1e5, 'Over 100 kg: check the unit.'),
	volumeMl: z
		.number({ error: 'Type its volume, such as 4 ml: by water, or weight by density.' })
		.positive('It takes some room: by water, or weight by density.')
		.max(1e5, 'Over 100 l: check the unit.'),
	heightMm: z
		.number({ error: 'Type how high it stands as it lies in the mould, such as 6 mm.' })
		.min(0.1, 'Under 0.1 mm: check the unit.')
		.max(2000, 'Over 2 m: check the unit.'),
	/** Its underside above the floor of the mould, mm. */
	atMm: z
		.number({ error: 'Type how high above the floor it lies, such as 10 mm.' })
		.min(LEAST_LAYER_MM, `Lying on the floor it shows bare: at least ${LEAST_LAYER_MM} mm above it.`)
		.max(2000, 'Over 2 m: check the unit.')
});
export type Embed = z.output<typeof embedInput>;
