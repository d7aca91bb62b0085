import { z } from 'zod';
import { masterRecord } from '../master';
import { mouldInputs, planMould } from '../mould';
import { workshopSettings } from '../workshop';

/** A length of the piece or its mould, mm. */
export const mm = (what: string) =>
	z
		.number({ error: `Give the ${what} in mm.` })
		.min(0.2, `The ${what} is under 0.2 mm: check the unit.`)
		.max(5000, `The ${what} is over 5 m: check the unit.`);

/** What is cast: the volume of one copy, and of its shape what the kind of cast needs. */
export const piece = z.object({
	name: z.string().trim().min(1).max(120).default('Piece'),
	cavityVolumeMl: z
		.number({ error: 'Give the volume of the cavity, such as 85.' })
		.min(0.5, 'Under half a millilitre: check the unit.')
		.max(1e6, 'Over a cubic metre: check the unit.'),
	/** Skin without its openings, mm²; left out: as of a cube of that volume. */
	skinAreaMm2: z
		.number()
		.min(100, 'Under 1 cm²: check the unit.')
		.max(2e7, 'Over 20 m²: check the unit.')
		.optional(),
	widthMm: mm('width').optional(),
	heightMm: mm('height').optional(),
	thickestMm: mm('thickest place').optional(),
	/** Pockets that trap air as it is poured; left out: not known. */
	traps: z.number().int().min(0).max(1000).optional()
});

/** Of the workshop what is not as usual: scale, margin, pot. */
export const workshop = z.object(workshopSettings.shape).partial().default({});

/** What was given, without what was left out. */
export const given = <T extends object>(partial: T) =>
	Object.fromEntries(Object.entries(partial).filter(([, v]) => v !== undefined)) as {
		[K in keyof T]?: Exclude<T[K], undefined>;
	};

/** A mould that was not made here, round a cube of that volume. */
export function boughtMould(label: string, volumeMl: number, roomTempC: number) {
	const edgeMm = Math.max(1, Math.cbrt(volumeMl * 1000));
	const record = masterRecord.parse({
		name: label,
		material: 'other',
		footprint: 'rectangular',
		lengthMm: edgeMm,
		widthMm: edgeMm,
		heightMm: edgeMm,
		readings: [{ method: 'typed', volumeMl }]
	});
	const inputs = mouldInputs.parse({
		kind: 'rigid',
		rigidSource: 'bought',
		label,
		masterId: 'asked',
		clearanceMm: 10,
		coverMm: 10,
		lossPercent: 0,
		cavities: 1,
		roomTempC,
		note: ''
	});
	return { inputs, plan: planMould(inputs, record, {}) };
}
