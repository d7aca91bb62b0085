import { z } from 'zod';

const sizeMm = (what: string) =>
	z
		.number({ error: `Type the ${what}, such as 60 mm or 2 3/8 in.` })
		.positive(`The ${what} must be more than nothing.`)
		.max(10_000, `The ${what} is over 10 m: check the unit.`);

const three = { lengthMm: sizeMm('length'), widthMm: sizeMm('width'), heightMm: sizeMm('height') };
const round = { diameterMm: sizeMm('diameter'), heightMm: sizeMm('height') };

/** A plain solid by its outer sizes in mm. */
export const solidInput = z.discriminatedUnion('shape', [
	z.object({ shape: z.literal('box'), ...three }),
	z.object({ shape: z.literal('wedge'), ...three }),
	z.object({ shape: z.literal('pyramid'), ...three }),
	z.object({ shape: z.literal('tube'), ...round }),
	z.object({ shape: z.literal('cone'), ...round }),
	z.object({ shape: z.literal('frustum'), ...round, topDiameterMm: sizeMm('diameter at the top') }),
	z.object({ shape: z.literal('ball'), diameterMm: sizeMm('diameter') }),
	z.object({ shape: z.literal('half ball'), diameterMm: sizeMm('diameter') }),
	z.object({
		shape: z.literal('torus'),
		diameterMm: sizeMm('outer diameter'),
		ringDiameterMm: sizeMm('diameter of the ring itself')
	})
]);
export type Solid = z.infer<typeof solidInput>;
export type SolidShape = Solid['shape'];
export const SOLID_SHAPES = solidInput.options.map((o) => o.shape.shape.value) as SolidShape[];
