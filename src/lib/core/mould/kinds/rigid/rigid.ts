import { z } from 'zod';
import { digits } from '../../../units';
import { type Warning, type WorkingLine } from '../../../working';
import { masterSizeInput } from '../../../master/sizes';

/** A bead of putty in the parting line, mm thick (common practice, no source). */
const PUTTY_MM = 4;
/** One band in so much length of mould, mm (common practice, no source). */
const BAND_EVERY_MM = 40;

/** A bought or printed rigid mould, or one cast of rigid resin. */
export const rigidInput = z.strictObject({
	master: masterSizeInput,
	masterVolumeMl: z.number().min(0, 'The master cannot be less than nothing.').max(1e6),
	source: z.enum(['bought', 'printed', 'cast resin']).default('bought'),
	parts: z
		.number({ error: 'Type how many parts, such as 2.' })
		.int('Parts are whole.')
		.min(1, 'At least one part.')
		.max(8, 'At most eight parts are planned here.')
		.default(2),
	wallMm: z
		.number({ error: 'Type the wall, such as 4 mm.' })
		.positive('The wall must be more than nothing.')
		.max(100, 'Over 100 mm: check the unit.')
		.default(4),
	/** Share of the wall that is material in a print. */
	infillPercent: z.number().min(5, 'Infill is 5–100 %.').max(100, 'Infill is 5–100 %.').default(40),
	materialDensityGPerMl: z.number().positive().max(5).default(1.24),
	/** Where it begins to warp, from its sheet, °C. */
	softensC: z
		.number({ error: 'Type where it softens, such as 60 C, or leave it empty.' })
		.min(30, 'Under 30 °C: check the unit.')
		.max(300, 'Over 300 °C: check the unit.')
		.optional(),
	/** Hottest that its face gets from the resin it is poured with, °C. */
	faceTempC: z.number().min(-20).max(400).optional()
});
type RigidInput = z.input<typeof rigidInput>;

/** What a rigid mould adds to the fields of a mould. */
export const rigidFields = {
	rigidSource: rigidInput.shape.source,
	rigidParts: rigidInput.shape.parts,
	rigidWallMm: rigidInput.shape.wallMm,
	infillPercent: rigidInput.shape.infillPercent,
	softensC: rigidInput.shape.softensC
};

export interface RigidPlan {
	outerMm: { lengthMm: number; widthMm: number; heightMm: number };
	/** Material of the mould itself; nothing for a bought one. */
	material: { volumeMl: number; massG: number };
	seamMm: number;
	putty: { volumeMl: number };
	bands: number;
	working: WorkingLine[];
	warnings: Warning[];
}

/** Clearly under its softening point, °C: hot resin softens a wall before its middle is at that temperature. */
const MARGIN_C = 10;

/**
 * A rigid mould round a master: its outside, what it is made of, the seam to fill and the bands to close it.
 * @throws ZodError when the input is outside its schema.
 * @example
 * planRigid(MOULD_MODULES.rigid.calculation.example).bands; // 2
 */
export function planRigid(raw: RigidInput): RigidPlan {
	const input = rigidInput.parse(raw);
	const { master, wallMm } = input;
	const widthMm = master.footprint === 'round' ? master.lengthMm : master.widthMm;
	const outerMm = {
		lengthMm: master.lengthMm + 2 * wallMm,
		widthMm: widthMm + 2 * wallMm,
		heightMm: master.heightMm + wallMm
	};
	const wallMl = (outerMm.lengthMm * outerMm.widthMm * outerMm.heightMm) / 1000 - input.masterVolumeMl;
	const share = input.source === 'printed' ? input.infillPercent / 100 : input.source === 'bought' ? 0 : 1;
	const volumeMl = wallMl * share;
	// up one side, over the foot and down the other, for each cut beyond the first part
	const seamMm = (input.parts - 1) * (2 * outerMm.heightMm + outerMm.lengthMm);
	const puttyMl = (seamMm * Math.PI * (PUTTY_MM / 2) ** 2) / 1000;
	const bands = Math.max(2, Math.ceil(outerMm.heightMm / BAND_EVERY_MM));
	const warnings: Warning[] = [];
	const { softensC, faceTempC } = input;
	if (softensC !== undefined && faceTempC !== undefined && faceTempC > softensC - MARGIN_C) {
		warnings.push({
			code: 'rigid-warps',
			message: `The resin heats the face to about ${digits(faceTempC, 0)} °C and this mould softens at ${digits(softensC, 0)} °C: it warps.`,
			action: 'A slower resin, thinner or rotocast shots, longer pauses between pulls.',
			severity: 'harm'
		});
	}
	return {
		outerMm,
		material: { volumeMl, massG: volumeMl * input.materialDensityGPerMl },
		seamMm,
		putty: { volumeMl: puttyMl },
		bands,
		working: [
			...(share > 0
				? [
						{
							what: input.source === 'printed' ? 'Print' : 'Resin of the mould',
							sum: `(${digits(outerMm.lengthMm)} × ${digits(outerMm.widthMm)} × ${digits(outerMm.heightMm)} mm − ${digits(input.masterVolumeMl)} ml)${share < 1 ? ` × ${digits(input.infillPercent)} %` : ''}`,
							result: `${digits(volumeMl)} ml, ${digits(volumeMl * input.materialDensityGPerMl)} g`
						}
					]
				: []),
			{
				what: 'Putty in the seam',
				sum: `${digits(seamMm)} mm × π ÷ 4 × ${PUTTY_MM}² mm`,
				result: `${digits(puttyMl)} ml`,
				source: `a bead of ${PUTTY_MM} mm: common practice, no source`
			}
		],
		warnings
	};
}
