import { z } from 'zod';
import { FILL_KINDS } from './fills';
import { insertInput } from './insert';
import { digits } from '../../../units';
import { InputError, type Warning, type WorkingLine } from '../../../working';

export const copyInput = z.strictObject({
	/** Everything inside the skin of the copy, ml. */
	cavityMl: z.number().positive('The cavity must hold something.').max(1e6),
	/** Cast resin: the shell of a filled copy, all of a solid one; ml and g. */
	castMl: z.number().min(0).max(1e6),
	castG: z.number().min(0).max(1e7),
	/** What the hollow holds; absent: air. */
	fill: z
		.strictObject({
			kind: z.enum(FILL_KINDS),
			densityGPerMl: z
				.number({ error: 'Type its density in place, such as 1.7 g/ml.' })
				.positive('It weighs something.')
				.max(12, 'Over 12 g/ml: check the unit.'),
			/** Stays in the mixing bowl, percent. */
			lossPercent: z.number().min(0).max(100).default(0)
		})
		.optional(),
	inserts: z.array(insertInput).max(40, 'At most 40 things set in.').default([])
});
type CopyInput = z.input<typeof copyInput>;

export interface CopyBalance {
	insertsMl: number;
	insertsG: number;
	/** Second stage: what goes into the shell, and what to mix of it. */
	fillMl: number;
	fillG: number;
	mixG: number;
	/** The finished copy. */
	massG: number;
	densityGPerMl: number;
	/** Share of it under fresh water when it floats; 1 when it sinks. */
	underWater: number;
	floats: boolean;
	/** Weight to add so that it just sinks, or volume of air that it would need to float: g. */
	toNeutralG: number;
	working: WorkingLine[];
	warnings: Warning[];
}

/**
 * Mass and balance afloat of one copy: cast resin, what fills its hollow, what is set in (Archimedes).
 * @throws InputError when what is set in and cast takes more room than there is
 * @example
 * copyBalance({ cavityMl: 100, castMl: 40, castG: 44 }).massG; // 44
 */
export function copyBalance(raw: CopyInput): CopyBalance {
	const input = copyInput.parse(raw);
	const insertsMl = input.inserts.reduce((s, i) => s + i.volumeMl, 0);
	const insertsG = input.inserts.reduce((s, i) => s + i.massG, 0);
	const hollowMl = input.cavityMl - input.castMl - insertsMl;
	if (hollowMl < -0.001 * input.cavityMl) {
		throw new InputError(
			['inserts'],
			`What is cast and set in takes ${digits(input.castMl + insertsMl)} ml and the cavity holds ${digits(input.cavityMl)} ml: a thinner wall or smaller things.`
		);
	}
	const fillMl = input.fill ? Math.max(0, hollowMl) : 0;
	const fillG = fillMl * (input.fill?.densityGPerMl ?? 0);
	const massG = input.castG + insertsG + fillG;
	const densityGPerMl = massG / input.cavityMl;
	const toNeutralG = input.cavityMl - massG;
	return {
		insertsMl,
		insertsG,
		fillMl,
		fillG,
		mixG: fillG * (1 + (input.fill?.lossPercent ?? 0) / 100),
		massG,
		densityGPerMl,
		underWater: Math.min(1, densityGPerMl),
		floats: densityGPerMl < 1,
		toNeutralG,
		working: [
			...(input.fill
				? [
						{
							what: 'Fill',
							sum: `(${digits(input.cavityMl)} − ${digits(input.castMl)} − ${digits(insertsMl)}) ml × ${digits(input.fill.densityGPerMl)} g/ml`,
							result: `${digits(fillMl)} ml, ${digits(fillG)} g`
						}
					]
				: []),
			{
				what: 'One copy weighs',
				sum: `${digits(input.castG)} + ${digits(fillG)} + ${digits(insertsG)} g`,
				result: `${digits(massG)} g`
			},
			{
				what: 'Afloat',
				sum: `${digits(massG)} g ÷ ${digits(input.cavityMl)} ml`,
				result: densityGPerMl < 1 ? `floats, ${digits(100 * densityGPerMl, 0)} % under water` : 'sinks',
				source: 'Archimedes, fresh water; trim is found by trial'
			}
		],
		warnings:
			input.fill?.kind === 'foam'
				? [
						{
							code: 'foam-pressure',
							message: 'Foam presses while it rises and heats itself.',
							action: 'Pour a third at a time, leave the opening free, keep the shell in its mould.'
						}
					]
				: []
	};
}
