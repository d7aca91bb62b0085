import { z } from 'zod';

const outer = (what: string) =>
	z
		.number({ error: `Type the ${what} of the master, such as 60 mm or 2 3/8 in.` })
		.positive(`The ${what} of the master must be more than nothing.`)
		.max(3000, `The ${what} of the master is over 3 m: check the unit.`);

/** Outer sizes of a master in its pouring position; `round` means that length is its diameter. */
export const masterSizeInput = z.object({
	footprint: z.enum(['rectangular', 'round']),
	lengthMm: outer('length'),
	widthMm: outer('width'),
	heightMm: outer('height')
});
export type MasterSize = z.infer<typeof masterSizeInput>;

/** Largest volume that fits a master's outer sizes, ml. */
export function outerVolumeMl(master: MasterSize): number {
	const base =
		master.footprint === 'round' ? (Math.PI * master.lengthMm ** 2) / 4 : master.lengthMm * master.widthMm;
	return (base * master.heightMm) / 1000;
}

/** Skin of the outer sizes without the foot, mm²: more than a figure has that is slimmer than its box. */
export function skinOfSizesMm2(m: MasterSize): number {
	if (m.footprint === 'round') return Math.PI * m.lengthMm * m.heightMm + (Math.PI * m.lengthMm ** 2) / 4;
	return 2 * (m.lengthMm + m.widthMm) * m.heightMm + m.lengthMm * m.widthMm;
}
