import { z } from 'zod';
import { digits, formatTime } from '../../../units';
import { InputError, type WorkingLine } from '../../../working';
import { mouldBlock, type Cavity, type MouldBlockResult } from '../../block';
import { blockPlanInput, cavityFor } from '../../boxedBlock';

/** Density of non-sulphur modelling clay, g/ml (from memory, a field value). */
export const CLAY_G_PER_ML = 1.6;

/** One half of a two-part block: a pour of its own. */
export interface MouldHalf {
	volumeMl: number;
	massG: number;
	a: { massG: number };
	b: { massG: number };
	degasVesselMl: number;
}

export interface TwoPartPlan extends MouldBlockResult {
	cavity: Cavity;
	/** Parting line above the master's lowest point, mm. */
	partingMm: number;
	clay: { volumeMl: number; massG: number };
	first: MouldHalf;
	second: MouldHalf;
}

export const twoPartInput = blockPlanInput.extend({
	/** Parting line above the master's lowest point, mm. */
	partingMm: z.number({ error: 'Type where the halves part, such as 25 mm.' }),
	/** Share of the master that lies below the parting line; by its height unless known. */
	masterBelowShare: z.number().min(0, 'A share is 0–1.').max(1, 'A share is 0–1.').optional(),
	/** Inside of a box whose sides come in steps, such as bricks; from the clearance when absent. */
	inside: z.strictObject({ lengthMm: z.number().positive(), widthMm: z.number().positive() }).optional()
});
export type TwoPartInput = z.input<typeof twoPartInput>;

/**
 * A two-part block: the master is bedded in clay up to the parting line, the first half is poured on top,
 * turned over, the clay taken out, and the second half poured where the clay was. So the second half is as
 * large as the clay, and the mould is ready after two cures.
 * @throws InputError when the parting line is not on the master
 * @example
 * planTwoPart(MOULD_MODULES['two-part'].calculation.example).first.massG; // 221.84
 */
export function planTwoPart(raw: TwoPartInput): TwoPartPlan {
	const input = twoPartInput.parse(raw);
	const { master, partingMm, coverMm } = input;
	if (!(partingMm > 0 && partingMm < master.heightMm)) {
		throw new InputError(
			['partingMm'],
			`The parting line runs round the master: between 0 and ${digits(master.heightMm)} mm above its lowest point.`
		);
	}
	const flat: Cavity = input.inside
		? { shape: 'box', ...input.inside, heightMm: 1 }
		: cavityFor(master, input.shape, input.clearanceMm, 0);
	const withHeight = (heightMm: number) => ({ ...flat, heightMm }) as Cavity;
	const below = input.masterVolumeMl * (input.masterBelowShare ?? partingMm / master.heightMm);
	const common = { rubber: input.rubber, roomTempC: input.roomTempC, lossPercent: input.lossPercent };
	const lower = mouldBlock({ cavity: withHeight(coverMm + partingMm), masterVolumeMl: below, ...common });
	const upper = mouldBlock({
		cavity: withHeight(coverMm + master.heightMm - partingMm),
		masterVolumeMl: input.masterVolumeMl - below,
		...common
	});
	const first = half(upper);
	const second = half(lower);
	const clayMl = lower.netVolumeMl;
	return {
		cavity: withHeight(master.heightMm + 2 * coverMm),
		partingMm,
		grossVolumeMl: lower.grossVolumeMl + upper.grossVolumeMl,
		netVolumeMl: lower.netVolumeMl + upper.netVolumeMl,
		rubber: { volumeMl: first.volumeMl + second.volumeMl, massG: first.massG + second.massG },
		a: { massG: first.a.massG + second.a.massG },
		b: { massG: first.b.massG + second.b.massG },
		degasVesselMl: Math.max(first.degasVesselMl, second.degasVesselMl),
		readyInS: lower.readyInS + upper.readyInS,
		workingTimeS: upper.workingTimeS,
		clay: { volumeMl: clayMl, massG: clayMl * CLAY_G_PER_ML },
		first,
		second,
		working: working(input, lower, upper, below, clayMl),
		warnings: [
			{
				code: 'release-between',
				message: 'Fresh silicone bonds to the cured first half for good.',
				action:
					'Release the whole joint with one that is made for silicone on silicone, not a silicone-oil spray.'
			}
		]
	};
}

function half(r: MouldBlockResult): MouldHalf {
	return { ...r.rubber, a: r.a, b: r.b, degasVesselMl: r.degasVesselMl };
}

function working(
	input: z.output<typeof twoPartInput>,
	lower: MouldBlockResult,
	upper: MouldBlockResult,
	below: number,
	clayMl: number
): WorkingLine[] {
	return [
		{
			what: 'Master below the line',
			sum:
				input.masterBelowShare === undefined
					? `${digits(input.masterVolumeMl)} ml × ${digits(input.partingMm)} ÷ ${digits(input.master.heightMm)} mm`
					: `${digits(100 * input.masterBelowShare, 0)} % of ${digits(input.masterVolumeMl)} ml`,
			result: `${digits(below)} ml`,
			...(input.masterBelowShare === undefined ? { source: 'by its height: an estimate' } : {})
		},
		{
			what: 'Clay, and the second half',
			sum: `${digits(lower.grossVolumeMl)} − ${digits(below)} ml`,
			result: `${digits(clayMl)} ml`
		},
		{
			what: 'First half',
			sum: `${digits(upper.grossVolumeMl)} − ${digits(input.masterVolumeMl - below)} ml`,
			result: `${digits(upper.netVolumeMl)} ml`
		},
		{
			what: 'Ready in',
			sum: `2 × ${formatTime(upper.readyInS)}: the second half is poured on the cured first`,
			result: formatTime(lower.readyInS + upper.readyInS)
		}
	];
}
