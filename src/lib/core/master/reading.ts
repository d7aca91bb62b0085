import { z } from 'zod';
import { FILE_UNIT_MM, type FileUnit } from '../mesh/types';
import { digits } from '../units';
import { displacementInput, displacement } from '../volume/displacement';
import { solidInput } from '../volume/solidInput';
import { solidVolumeMl } from '../volume/solids';
import { waterDensityGPerMl } from '../volume/waterDensity';
import type { WorkingLine } from '../working';
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
		if (!(solidsMl(r.pieces) > 0)) issue(['pieces'], 'More is taken off than there is.');
	});
export type VolumeReading = z.output<typeof volumeReading>;
export type ReadingMethod = VolumeReading['method'];

/** What each way is called. */
export const METHOD_NAMES: Readonly<Record<ReadingMethod, string>> = {
	overflow: 'Overflow, weighed',
	rise: 'Rise in a cup',
	'mould-water': 'Water out of the mould',
	cast: 'An earlier cast, weighed',
	solids: 'Plain solids',
	mesh: '3D file',
	typed: 'Known already'
};

function solidsMl(pieces: readonly z.output<typeof solidPiece>[]): number {
	return pieces.reduce((sum, p) => sum + (p.sign === 'add' ? 1 : -1) * solidVolumeMl(p.solid), 0);
}

const weight = (massG: number) => `${Number(massG.toPrecision(6))} g`;

/**
 * Volume in ml with the sum that made it.
 * @example
 * readVolume({ method: 'rise', beforeMl: 200, afterMl: 242 }).volumeMl; // 42
 */
export function readVolume(reading: VolumeReading): { volumeMl: number; working: WorkingLine } {
	const line = (what: string, sum: string, volumeMl: number, source?: string) => ({
		volumeMl,
		working: { what, sum, result: `${digits(volumeMl)} ml`, ...(source ? { source } : {}) }
	});
	switch (reading.method) {
		case 'overflow': {
			const { volumeMl, densityGPerMl } = displacement({
				overflowMassG: reading.overflowMassG,
				waterTempC: reading.waterTempC
			});
			return line(
				'Volume by overflow',
				`${weight(reading.overflowMassG)} of water ÷ ${digits(densityGPerMl, 5)} g/ml at ${digits(reading.waterTempC)} °C`,
				volumeMl,
				'Kell 1975'
			);
		}
		case 'mould-water': {
			const density = waterDensityGPerMl(reading.waterTempC);
			return line(
				'Volume of the cavity',
				`${weight(reading.waterMassG)} of water ÷ ${digits(density, 5)} g/ml at ${digits(reading.waterTempC)} °C`,
				reading.waterMassG / density,
				'Kell 1975'
			);
		}
		case 'rise':
			return line(
				'Volume by rise',
				`${digits(reading.afterMl)} − ${digits(reading.beforeMl)} ml`,
				reading.afterMl - reading.beforeMl
			);
		case 'cast':
			return line(
				'Volume of an earlier cast',
				`${weight(reading.castMassG)} ÷ ${digits(reading.castDensityGPerMl, 3)} g/ml`,
				reading.castMassG / reading.castDensityGPerMl
			);
		case 'solids':
			return line(
				reading.pieces.length === 1 ? `Volume of a ${reading.pieces[0]!.solid.shape}` : 'Volume of solids',
				reading.pieces
					.map(
						(p, i) =>
							`${p.sign === 'subtract' ? '− ' : i > 0 ? '+ ' : ''}${digits(solidVolumeMl(p.solid))} (${p.solid.shape})`
					)
					.join(' '),
				solidsMl(reading.pieces)
			);
		case 'mesh':
			return line(
				reading.pictured ? `Volume by ${reading.pictured.pictures} pictures` : 'Volume of the 3D file',
				`${reading.fileName} in ${reading.unit}${reading.scale === 1 ? '' : ` × ${digits(reading.scale, 4)}`}`,
				reading.volumeMl,
				reading.pictured ? 'visual hull: Laurentini, IEEE PAMI 16 (1994) 150' : 'signed tetrahedra'
			);
		case 'typed':
			return line('Volume', 'as typed', reading.volumeMl);
	}
}

/** How several readings of one piece agree. */
export interface Spread {
	count: number;
	lowMl: number;
	highMl: number;
	meanMl: number;
	/** Half of the range, as a share of the mean. */
	halfShare: number;
}

/** Past this half-range readings do not agree well enough for a small shot (common practice, no source). */
export const SPREAD_LIMIT = 0.03;

/**
 * Lowest, highest and mean of several readings; nothing for fewer than two.
 * @example
 * spreadOf([
 *   { method: 'typed', volumeMl: 100 },
 *   { method: 'typed', volumeMl: 104 }
 * ])?.meanMl; // 102
 */
export function spreadOf(readings: readonly VolumeReading[]): Spread | undefined {
	if (readings.length < 2) return undefined;
	const all = readings.map((r) => readVolume(r).volumeMl);
	const [lowMl, highMl] = [Math.min(...all), Math.max(...all)];
	const meanMl = all.reduce((sum, v) => sum + v, 0) / all.length;
	return { count: all.length, lowMl, highMl, meanMl, halfShare: (highMl - lowMl) / 2 / meanMl };
}
