import { z } from 'zod';
import { digits, formatTime } from '../units';
import { InputError, type Warning, type WorkingLine } from '../working';
import { DEGAS_RISE } from './block';

/** A cup is filled to two thirds at most, so that it can be stirred (common practice, no source). */
const CUP_SHARE = 2 / 3;
/** Weighing and stirring of one mix of rubber, s: stirring alone takes three minutes (common practice, no source). */
export const MIX_S = 300;

const gear = (what: string) =>
	z
		.number({ error: `Type what the ${what} takes.` })
		.positive(`The ${what} must take something.`)
		.max(1e6, `The ${what}: check the unit.`);

/** A pour of rubber against what the bench can weigh, stir and degas at once. */
export const mixesInput = z.strictObject({
	massG: z
		.number({ error: 'Type the mass to mix, such as 600 g.' })
		.positive('There must be something to mix.')
		.max(1e7),
	densityGPerMl: z.number().positive('The density must be more than nothing.').max(10),
	/** Most that the scale weighs, cup included, g. */
	scaleCapacityG: gear('scale').optional(),
	cupMl: gear('mixing cup').optional(),
	/** Vessel for degassing; absent when it is not degassed. */
	vesselMl: gear('degassing vessel').optional(),
	rise: z.number().min(1, 'It rises to at least its own volume.').max(20).default(DEGAS_RISE),
	workingTimeS: z.number().positive('The working time must be more than nothing.').max(1e6),
	/** Time to weigh and stir one mix. */
	mixS: z.number().positive('Mixing takes time.').max(36_000).default(MIX_S),
	/** Time that vacuum takes of each mix. */
	vacuumS: z.number().min(0).max(36_000).default(0)
});
type MixesInput = z.input<typeof mixesInput>;

export interface Mixes {
	count: number;
	massEachG: number;
	/** What limits the size of one mix. */
	limit: 'none' | 'scale' | 'cup' | 'vessel';
	/** From the first stir to the last mix in the mould. */
	takesS: number;
	working: WorkingLine[];
	warnings: Warning[];
}

/**
 * Splits a pour of rubber into equal mixes that scale, cup and degassing vessel can take.
 * @throws InputError when one mix alone takes longer than the working time
 * @example
 * splitMixes({ massG: 900, densityGPerMl: 1.1, cupMl: 500, workingTimeS: 1800 }).count; // 3
 */
export function splitMixes(raw: MixesInput): Mixes {
	const input = mixesInput.parse(raw);
	const { massG, densityGPerMl } = input;
	const limits: [Mixes['limit'], number, string][] = [
		['none', Infinity, ''],
		['scale', input.scaleCapacityG ?? Infinity, `the scale weighs ${digits(input.scaleCapacityG ?? 0)} g`],
		[
			'cup',
			(input.cupMl ?? Infinity) * CUP_SHARE * densityGPerMl,
			`two thirds of a cup of ${digits(input.cupMl ?? 0)} ml`
		],
		[
			'vessel',
			((input.vesselMl ?? Infinity) / input.rise) * densityGPerMl,
			`a vessel of ${digits(input.vesselMl ?? 0)} ml ÷ ${digits(input.rise)}`
		]
	];
	const [limit, mostG, why] = limits.reduce((least, l) => (l[1] < least[1] ? l : least));
	const count = Math.max(1, Math.ceil(massG / mostG - 1e-9));
	const eachS = input.mixS + input.vacuumS;
	if (eachS >= input.workingTimeS) {
		throw new InputError(
			['workingTimeS'],
			`Mixing${input.vacuumS > 0 ? ' and vacuum take' : ' takes'} ${formatTime(eachS)} and this rubber is workable for ${formatTime(input.workingTimeS)}: take a rubber that is workable for ${formatTime(eachS * 1.5)} or more${input.vacuumS > 0 ? ', or pour it without vacuum' : ''}.`
		);
	}
	const warnings: Warning[] = [];
	// mixes follow one another: the first one must still join the last
	if (count * eachS > input.workingTimeS) {
		warnings.push({
			code: 'mixes-too-slow',
			message: `${count} mixes one after another take ${formatTime(count * eachS)}: the first is past its ${formatTime(input.workingTimeS)} before the last is poured.`,
			action: 'Take a larger cup or vessel, a second pair of hands, or a slower rubber.'
		});
	}
	return {
		count,
		massEachG: massG / count,
		limit: count > 1 ? limit : 'none',
		takesS: count * eachS,
		working:
			count === 1
				? []
				: [
						{
							what: 'Mixes',
							sum: `${digits(massG)} g ÷ ${digits(mostG)} g: ${why}`,
							result: `${count} of ${digits(massG / count)} g`,
							source: 'two thirds of a cup, a rise to 4–5 times: common practice, no source'
						}
					],
		warnings
	};
}
