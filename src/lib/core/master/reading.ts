import { z } from 'zod';
import { FILE_UNIT_MM, type FileUnit } from '../mesh/types';
import { displacementInput } from '../volume/displacement';
import { solidInput } from '../volume/solidInput';
import { solidsVolumeMl } from '../volume/solids';
import { picturedRecord } from './shape';

const kept = {
	/** Day on which it was measured, `YYYY-MM-DD`, if known. */
	on: z.string().max(10).default(''),
	remark: z.string().trim().max(200, 'Keep the remark under 200 characters.').default('')
};
const millilitres = (of: string) =>
	z
		.number({ error: `Type ${of}, such as 85 ml or 3 oz (fluid).` })
		.min(0, `${of[0]!.toUpperCase()}${of.slice(1)} cannot be less than nothing.`)
		.max(1e6, 'Over a cubic metre: check the unit.');
const grams = (of: string) =>
	z
		.number({ error: `Type ${of}, such as 120 g or 3 oz.` })
		.positive(`${of[0]!.toUpperCase()}${of.slice(1)} must be more than nothing.`)
		.max(1e6, 'Over a tonne: check the unit.');

/** A solid that is added to the piece or taken off it. */
const solidPiece = z.object({ sign: z.enum(['add', 'subtract']), solid: solidInput });

const byRise = z.object({
	method: z.literal('rise'),
	beforeMl: millilitres('the level before'),
	afterMl: millilitres('the level after'),
	...kept
});
const byMouldWater = z.object({
	method: z.literal('mould-water'),
	waterMassG: grams('the weight of the water'),
	waterTempC: displacementInput.shape.waterTempC,
	...kept
});
const byCast = z.object({
	method: z.literal('cast'),
	castMassG: grams('the weight of the cast'),
	castDensityGPerMl: z
		.number({ error: 'Type the density of what it was cast in, such as 1.05 g/ml.' })
		.min(0.05, 'Under 0.05 g/ml: check the unit.')
		.max(20, 'Over 20 g/ml: check the unit.'),
	...kept
});
const bySolids = z.object({
	method: z.literal('solids'),
	pieces: z.array(solidPiece).min(1, 'Add at least one solid.').max(40, 'At most 40 solids.'),
	...kept
});
const byMesh = z.object({
	method: z.literal('mesh'),
	sha256: z.string().regex(/^[0-9a-f]{64}$/),
	fileName: z.string().max(200),
	unit: z.enum(Object.keys(FILE_UNIT_MM) as [FileUnit, ...FileUnit[]]),
	scale: z.number().positive().max(1e4),
	volumeMl: z.number().positive(),
	/** How far the figure may be off, as a share; a clean mesh has none. */
	doubtShare: z.number().min(0).optional(),
	/** A body cut from so many pictures: the piece may be smaller, and larger, by these shares. */
	pictured: picturedRecord.pick({ pictures: true, lowShare: true, highShare: true }).optional(),
	...kept
});

/** One way in which the volume of a master was measured, once. */
export const volumeReading = z
	.discriminatedUnion('method', [
		z.object({ method: z.literal('overflow'), ...displacementInput.shape, ...kept }),
		byRise,
		byMouldWater,
		byCast,
		bySolids,
		byMesh,
		z.object({
			method: z.literal('typed'),
			volumeMl: z
				.number({ error: 'Type the volume, such as 85 ml or 3 oz (fluid).' })
				.positive('The volume must be more than nothing.')
				.max(1e6, 'Over a cubic metre: check the unit.'),
			...kept
		})
	])
	.superRefine((r, ctx) => {
		const issue = (path: (string | number)[], message: string) =>
			ctx.addIssue({ code: 'custom', path, message });
		if (r.method === 'rise' && r.afterMl <= r.beforeMl)
			issue(['afterMl'], 'The water rises: the level after must be above the one before.');
		if (r.method !== 'solids') return;
		r.pieces.forEach(({ solid }, i) => {
			if (solid.shape === 'torus' && solid.ringDiameterMm * 2 > solid.diameterMm)
				issue(['pieces', i, 'solid', 'ringDiameterMm'], 'A ring is at most half as thick as it is wide.');
		});
		if (!(solidsVolumeMl(r.pieces) > 0)) issue(['pieces'], 'More is taken off than there is.');
	});
export type VolumeReading = z.output<typeof volumeReading>;
export type ReadingMethod = VolumeReading['method'];
