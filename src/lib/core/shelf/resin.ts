import { z } from 'zod';
import { checkRatio, type Ratio } from '../mix/ratio';
import { digits } from '../units';
import type { CureRecord } from '../cure/record';

export const name = (of: string) =>
	z
		.string()
		.trim()
		.min(1, `Give the ${of} a name.`)
		.max(120, `Keep the name of the ${of} under 120 characters.`);
export const note = z.string().max(4000, 'Keep the note under 4000 characters.').default('');

const density = (of: string) =>
	z
		.number({ error: `Type the density of ${of}, such as 1.05 g/ml or 25 in3/lb.` })
		.min(0.2, `The density of ${of} is under 0.2 g/ml: check the unit.`)
		.max(10, `The density of ${of} is over 10 g/ml: check the unit.`);

const parts = (of: string) =>
	z
		.number({ error: `Type the parts of ${of}, such as 100.` })
		.positive(`The parts of ${of} must be more than nothing.`)
		.max(10_000, `Over ten thousand parts of ${of}: check the ratio.`)
		.optional();

const timeS = (what: string, most: number) =>
	z
		.number({ error: `Type the ${what}, such as 2:30 or 15 min.` })
		.min(5, `A ${what} under 5 s: check the unit.`)
		.max(most, `The ${what} is too long: check the unit.`);

export const viscosity = z
	.number({ error: 'Type the viscosity, such as 150 mPas or 150 cps.' })
	.min(0.5, 'Thinner than water by half: check the unit.')
	.max(1e7, 'Over ten thousand Pa·s: check the unit.');

const resinFields = z.object({
	name: name('resin'),
	family: z.enum(
		[
			'fast urethane',
			'slow urethane',
			'gradual urethane',
			'water-clear urethane',
			'flexible urethane',
			'epoxy'
		],
		{ error: 'Choose a family.' }
	),
	densityAGPerMl: density('A'),
	densityBGPerMl: density('B').optional(),
	weightA: parts('A by weight'),
	weightB: parts('B by weight'),
	volumeA: parts('A by volume'),
	volumeB: parts('B by volume'),
	potLifeS: timeS('pot life', 200_000),
	potLifeMassG: z
		.number({ error: 'Type the mass that the sheet’s pot life means, usually 100 g.' })
		.min(1, 'Under 1 g: sheets mean about 100 g.')
		.max(10_000, 'Over 10 kg: check the unit.')
		.default(100),
	potLifeTempC: z
		.number({ error: 'Type the temperature of the sheet, usually 23 C.' })
		.min(5, 'Under 5 °C: check the unit.')
		.max(60, 'Over 60 °C: check the unit.')
		.default(23),
	demouldS: timeS('demould time', 2_000_000),
	demouldSectionMm: z
		.number({ error: 'Type the section that the demould time means, or 6 mm.' })
		.min(0.5, 'Under 0.5 mm: check the unit.')
		.max(200, 'Over 200 mm: check the unit.')
		.default(6),
	character: z.enum(['snap', 'quick', 'gradual'], { error: 'Choose how it sets.' }),
	viscosityMpaS: viscosity,
	note
});
type ResinFields = z.output<typeof resinFields>;

const pair = (a: number | undefined, b: number | undefined) =>
	a !== undefined && b !== undefined ? { a, b } : undefined;

/** The density of B that the two ratios and the density of A leave, g/ml. */
function densityBOf(r: ResinFields): number | undefined {
	const weight = pair(r.weightA, r.weightB);
	const volume = pair(r.volumeA, r.volumeB);
	if (r.densityBGPerMl !== undefined) return r.densityBGPerMl;
	if (!weight || !volume) return undefined;
	return (r.densityAGPerMl * (weight.b / weight.a) * volume.a) / volume.b;
}

/**
 * A two-part casting resin as its sheet describes it. Ratio by weight, ratio by volume and the two
 * densities are tied: any one may be left out, and a contradiction is refused with its sum.
 */
export const resinRecord = resinFields.superRefine((r, ctx) => {
	const issue = (path: keyof ResinFields, message: string) =>
		ctx.addIssue({ code: 'custom', path: [path], message });
	for (const [a, b, by] of [
		['weightA', 'weightB', 'weight'],
		['volumeA', 'volumeB', 'volume']
	] as const) {
		if (r[a] !== undefined && r[b] === undefined) issue(b, `Type the parts of B by ${by} as well.`);
		if (r[b] !== undefined && r[a] === undefined) issue(a, `Type the parts of A by ${by} as well.`);
	}
	const weight = pair(r.weightA, r.weightB);
	const volume = pair(r.volumeA, r.volumeB);
	if (!weight && !volume) {
		issue('weightA', 'Give the ratio by weight or by volume, as the sheet has it.');
		return;
	}
	const densityB = densityBOf(r);
	if (densityB === undefined) {
		issue('densityBGPerMl', 'Type the density of B, or give both ratios so that it can be worked out.');
		return;
	}
	if (densityB < 0.2 || densityB > 10) {
		issue('densityBGPerMl', `These ratios make B ${digits(densityB, 2)} g/ml: check them.`);
		return;
	}
	if (weight && volume && r.densityBGPerMl !== undefined) {
		const check = checkRatio(weight, volume, r.densityAGPerMl, r.densityBGPerMl);
		if (!check.ok) issue('weightB', `Ratio and densities contradict each other: ${check.sum}.`);
	}
});
export type ResinRecord = z.output<typeof resinRecord>;

/** A resin with its ratio settled: what mixing sums need. */
export interface MixableResin {
	densityAGPerMl: number;
	densityBGPerMl: number;
	ratio: Ratio;
}

/** Settles densities and ratio. By weight when the sheet has it, since the scale is the finer measure. */
export function mixable(record: ResinRecord): MixableResin {
	const weight = pair(record.weightA, record.weightB);
	const volume = pair(record.volumeA, record.volumeB);
	const densityBGPerMl = densityBOf(record);
	if (densityBGPerMl === undefined || (!weight && !volume)) {
		throw new Error('mixable: the record was not checked by resinRecord');
	}
	const ratio: Ratio = weight ? { by: 'weight', ...weight } : { by: 'volume', ...volume! };
	return { densityAGPerMl: record.densityAGPerMl, densityBGPerMl, ratio };
}

/** The cure part of a resin record, for the cure engine. */
export function cureOf(record: ResinRecord): CureRecord {
	return {
		chemistry: record.family === 'epoxy' ? 'epoxy' : 'urethane',
		potLifeS: record.potLifeS,
		potLifeMassG: record.potLifeMassG,
		potLifeTempC: record.potLifeTempC,
		demouldS: record.demouldS,
		demouldSectionMm: record.demouldSectionMm,
		character: record.character
	};
}
