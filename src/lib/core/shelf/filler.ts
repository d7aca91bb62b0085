import { z } from 'zod';
import { name, note, typical, usual } from './fields';

const density = (of: string) =>
	z
		.number({ error: `Type the ${of} density, such as 0.25 g/ml.` })
		.min(0.02, `The ${of} density is under 0.02 g/ml: check the unit.`)
		.max(20, `The ${of} density is over 20 g/ml: check the unit.`);

/** How far a scoop for each part of B takes a mix: from there on it is creamy, from there on paste. */
const scoops = z
	.number({ error: 'Type how many scoops to one of B, or leave it empty.' })
	.min(0.01, 'Under a hundredth of a scoop: check it.')
	.max(20, 'Over twenty scoops: check it.')
	.optional();

/** A filler with both of its densities: loose as it is scooped, solid as it takes up room in the resin. */
export const fillerFields = z.object({
	name: name('filler'),
	family: z.enum(
		[
			'hollow spheres',
			'metal powder',
			'mineral powder',
			'fibre',
			'fumed silica',
			'water',
			'glow or pearl powder'
		],
		{ error: 'Choose a family.' }
	),
	densityGPerMl: density('solid'),
	bulkDensityGPerMl: density('loose'),
	/** Grain size, mm; it decides settling. */
	grainMm: z
		.number({ error: 'Type the grain size, such as 0.05 mm, or leave it empty.' })
		.min(0.0001, 'Under 0.1 µm: check the unit.')
		.max(20, 'Over 20 mm: check the unit.')
		.optional(),
	creamyScoopsPerB: scoops,
	pasteScoopsPerB: scoops,
	/** Yield stress of its paste: what stays up on a wall, Pa. */
	yieldPa: z
		.number({ error: 'Type the yield stress in Pa, or leave it empty.' })
		.min(0.1, 'Under 0.1 Pa it runs: check it.')
		.max(10_000, 'Over 10 kPa it is stiff as clay: check it.')
		.optional(),
	/** Price of a kilogram, in the workshop's currency; empty: not known. */
	pricePerKg: z
		.number({ error: 'Type the price of a kilogram, such as 24, or leave it empty.' })
		.min(0, 'A price is not below nothing.')
		.max(100_000, 'Over 100 000 a kilogram: check it.')
		.optional(),
	note,
	typical,
	usual
});

/** The same, its densities checked against each other. */
export const fillerRecord = fillerFields.superRefine((f, ctx) => {
	if (f.bulkDensityGPerMl > f.densityGPerMl * 1.001) {
		ctx.addIssue({
			code: 'custom',
			path: ['bulkDensityGPerMl'],
			message: 'Loose powder holds air: its density cannot be above the solid one.'
		});
	}
	if ((f.creamyScoopsPerB ?? 0) > (f.pasteScoopsPerB ?? Infinity)) {
		ctx.addIssue({
			code: 'custom',
			path: ['pasteScoopsPerB'],
			message: 'Paste takes more scoops than cream.'
		});
	}
});
export type FillerRecord = z.output<typeof fillerRecord>;

/** Conductivity, W/m·K, and specific heat, J/g·K, of a filler's grains by family (from memory: field values). */
export const FILLER_HEAT: Readonly<
	Record<FillerRecord['family'], { conductivityWPerMK: number; specificHeatJPerGK: number }>
> = {
	'hollow spheres': { conductivityWPerMK: 0.06, specificHeatJPerGK: 1 },
	'metal powder': { conductivityWPerMK: 120, specificHeatJPerGK: 0.5 },
	'mineral powder': { conductivityWPerMK: 2, specificHeatJPerGK: 0.85 },
	fibre: { conductivityWPerMK: 1, specificHeatJPerGK: 0.8 },
	'fumed silica': { conductivityWPerMK: 1.3, specificHeatJPerGK: 0.75 },
	water: { conductivityWPerMK: 0.6, specificHeatJPerGK: 4.18 },
	'glow or pearl powder': { conductivityWPerMK: 3, specificHeatJPerGK: 0.8 }
};

/** What a mix is like to pour. */
export type Consistency = 'pours' | 'creamy' | 'paste';

/** Viscosities from which a mix is called creamy and paste, mPa·s (common practice, no source). */
export const CREAMY_MPAS = 5000;
const PASTE_MPAS = 60_000;

/**
 * Whether a filled mix still pours. Round grains follow Krieger & Dougherty; fibre and fumed silica do
 * not, and go by the scoops that the record was found to take.
 * @param viscosityFactor from `mix`, `null` past the packing limit
 * @param scoopsPerB loose volume of the thickest non-round filler ÷ volume of B
 * @example
 * consistency(120, 1.5, []); // { consistency: 'pours', viscosityMpaS: 180 }
 */
export function consistency(
	viscosityMpaS: number,
	viscosityFactor: number | null,
	curves: readonly {
		record: Pick<FillerRecord, 'creamyScoopsPerB' | 'pasteScoopsPerB'>;
		scoopsPerB: number;
	}[]
): { consistency: Consistency; viscosityMpaS: number | null } {
	const filled = viscosityFactor === null ? null : viscosityMpaS * viscosityFactor;
	const by = (paste: boolean, creamy: boolean): Consistency =>
		paste ? 'paste' : creamy ? 'creamy' : 'pours';
	const flow = by(filled === null || filled > PASTE_MPAS, filled === null || filled > CREAMY_MPAS);
	const thick = by(
		curves.some((c) => c.scoopsPerB >= (c.record.pasteScoopsPerB ?? Infinity)),
		curves.some((c) => c.scoopsPerB >= (c.record.creamyScoopsPerB ?? Infinity))
	);
	const order: Consistency[] = ['pours', 'creamy', 'paste'];
	return { consistency: order[Math.max(order.indexOf(flow), order.indexOf(thick))]!, viscosityMpaS: filled };
}

/**
 * How far a filler settles (positive) or floats (negative) before gel, mm: Stokes' speed times the time,
 * with the viscosity of the unfilled mix held, which overstates it as the resin thickens.
 * Stokes, Trans. Camb. Phil. Soc. 9 (1851): v = 2·Δρ·g·r²/(9·μ).
 * @example
 * settlingMm({ grainMm: 0.04, densityGPerMl: 8.7 }, 1.05, 120, 300); // 16.671
 */
export function settlingMm(
	record: Pick<FillerRecord, 'grainMm' | 'densityGPerMl'>,
	resinDensityGPerMl: number,
	viscosityMpaS: number,
	timeS: number
): number | undefined {
	if (record.grainMm === undefined) return undefined;
	const radiusM = record.grainMm / 2000;
	const excess = (record.densityGPerMl - resinDensityGPerMl) * 1000;
	return ((2 * excess * 9.80665 * radiusM ** 2) / (9 * viscosityMpaS * 1e-3)) * timeS * 1000;
}
