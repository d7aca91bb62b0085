import { z } from 'zod';
import { digits, formatTime } from '../../../units';
import { InputError, type Warning, type WorkingLine } from '../../../working';
import { cavityVolumeMl, type Cavity } from '../../block';
import { blockPlanInput, cavityFor } from '../../boxedBlock';
import { CLAY_G_PER_ML } from '../twoPart/twoPart';

/** Softening in near-boiling water, s (common practice, no source). */
export const SOFTEN_S = 600;
/** Pressing it home, s (common practice, no source). */
const PRESS_S = 180;

const thermoplastic = z.strictObject({
	densityGPerMl: z.number().positive('The density must be more than nothing.').max(5),
	softenTempC: z.number().min(35).max(250),
	/** Cooling at room temperature before it is opened, s. */
	coolS: z.number().positive('It takes time to cool.').max(200_000)
});

/** A two-part press mould of a re-meltable thermoplastic in a close-fitting box. */
export const pressInput = z.strictObject({
	master: blockPlanInput.shape.master,
	masterVolumeMl: blockPlanInput.shape.masterVolumeMl,
	clearanceMm: blockPlanInput.shape.clearanceMm,
	coverMm: blockPlanInput.shape.coverMm,
	/** Inside of a box whose sides come in steps, such as bricks; from the clearance when absent. */
	inside: z.strictObject({ lengthMm: z.number().positive(), widthMm: z.number().positive() }).optional(),
	/** Parting line above the master's lowest point, mm. */
	partingMm: z.number({ error: 'Type where the halves part, such as 25 mm.' }),
	material: thermoplastic,
	roomTempC: z.number().min(-20).max(60)
});
type PressInput = z.input<typeof pressInput>;

export interface PressPlan {
	cavity: Cavity;
	partingMm: number;
	grossVolumeMl: number;
	netVolumeMl: number;
	first: { volumeMl: number; massG: number };
	second: { volumeMl: number; massG: number };
	rubber: { volumeMl: number; massG: number };
	clay: { volumeMl: number; massG: number };
	readyInS: number;
	working: WorkingLine[];
	warnings: Warning[];
}

/**
 * Each half is softened, pressed against the part and cooled; the first must be cold before the second is
 * pressed on, since the material bonds to itself while it is hot.
 * @throws InputError for a line off the master, or a material that needs more than boiling water
 * @example
 * planPress(MOULD_MODULES.press.calculation.example).second; // { volumeMl: 54.4, massG: 51.68 }
 */
export function planPress(raw: PressInput): PressPlan {
	const input = pressInput.parse(raw);
	const { master, partingMm, coverMm, material } = input;
	if (!(partingMm > 0 && partingMm < master.heightMm)) {
		throw new InputError(
			['partingMm'],
			`The parting line runs round the master: between 0 and ${digits(master.heightMm)} mm above its lowest point.`
		);
	}
	const flat: Cavity = input.inside
		? { shape: 'box', ...input.inside, heightMm: 1 }
		: cavityFor(master, 'box', input.clearanceMm, 0);
	const half = (heightMm: number, masterMl: number) => {
		const volumeMl = cavityVolumeMl({ ...flat, heightMm } as Cavity) - masterMl;
		if (volumeMl <= 0)
			throw new InputError(['masterVolumeMl'], 'The master fills its box: give it more clearance.');
		return { volumeMl, massG: volumeMl * material.densityGPerMl };
	};
	const belowMl = (input.masterVolumeMl * partingMm) / master.heightMm;
	const first = half(coverMm + master.heightMm - partingMm, input.masterVolumeMl - belowMl);
	const second = half(coverMm + partingMm, belowMl);
	const eachS = SOFTEN_S + PRESS_S + material.coolS;
	const warnings: Warning[] = [];
	if (material.softenTempC > 100) {
		warnings.push({
			code: 'hotter-than-water',
			message: `It softens at ${digits(material.softenTempC)} °C: boiling water does not reach that.`,
			action: 'Follow its sheet for another way to heat it, or take another material.'
		});
	}
	return {
		cavity: { ...flat, heightMm: master.heightMm + 2 * coverMm } as Cavity,
		partingMm,
		grossVolumeMl: first.volumeMl + second.volumeMl + input.masterVolumeMl,
		netVolumeMl: first.volumeMl + second.volumeMl,
		first,
		second,
		rubber: {
			volumeMl: first.volumeMl + second.volumeMl,
			massG: first.massG + second.massG
		},
		clay: { volumeMl: second.volumeMl, massG: second.volumeMl * CLAY_G_PER_ML },
		readyInS: 2 * eachS,
		working: [
			{
				what: 'First half',
				sum: `box above the line less ${digits(input.masterVolumeMl - belowMl)} ml of master`,
				result: `${digits(first.volumeMl)} ml, ${digits(first.massG)} g`
			},
			{
				what: 'Second half',
				sum: `box below the line less ${digits(belowMl)} ml of master`,
				result: `${digits(second.volumeMl)} ml, ${digits(second.massG)} g`
			},
			{
				what: 'Ready in',
				sum: `2 × (${formatTime(SOFTEN_S)} in hot water + ${formatTime(PRESS_S)} pressing + ${formatTime(material.coolS)} cooling)`,
				result: formatTime(2 * eachS),
				source: 'an hour at room temperature; chilling shrinks it: common practice, no source'
			}
		],
		warnings
	};
}
