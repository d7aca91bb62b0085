import { z } from 'zod';

const sizeMm = (what: string) =>
	z
		.number({ error: `Type the ${what}, such as 60 mm or 2 3/8 in.` })
		.positive(`The ${what} must be more than nothing.`)
		.max(10_000, `The ${what} is over 10 m: check the unit.`);

/** A plain solid by its outer sizes in mm. */
export const solidInput = z.discriminatedUnion('shape', [
	z.object({
		shape: z.literal('box'),
		lengthMm: sizeMm('length'),
		widthMm: sizeMm('width'),
		heightMm: sizeMm('height')
	}),
	z.object({ shape: z.literal('tube'), diameterMm: sizeMm('diameter'), heightMm: sizeMm('height') }),
	z.object({ shape: z.literal('ball'), diameterMm: sizeMm('diameter') }),
	z.object({ shape: z.literal('cone'), diameterMm: sizeMm('diameter'), heightMm: sizeMm('height') })
]);
export type Solid = z.infer<typeof solidInput>;

/**
 * Volume of a plain solid in ml (1 ml = 1000 mm³).
 * Box l·w·h, tube (cylinder) πr²h, ball πd³/6, cone πr²h/3 (Euclid, Elements XII; Archimedes).
 */
export function solidVolumeMl(solid: Solid): number {
	switch (solid.shape) {
		case 'box':
			return (solid.lengthMm * solid.widthMm * solid.heightMm) / 1000;
		case 'tube':
			return (Math.PI * solid.diameterMm ** 2 * solid.heightMm) / 4 / 1000;
		case 'ball':
			return (Math.PI * solid.diameterMm ** 3) / 6 / 1000;
		case 'cone':
			return (Math.PI * solid.diameterMm ** 2 * solid.heightMm) / 12 / 1000;
	}
}
