import { z } from 'zod';
import { InputError, type Warning, type WorkingLine } from '../working';
import { digits, formatWeighed } from '../units';
import { catalystAmount, catalystInput, type CatalystAmount } from './catalyst';
import { bPerAByWeight, ratioInput } from './ratio';
import { viscosityFactor } from './viscosityFactor';
import { RATIO_TOLERANCE_PERCENT, weighingErrorPercent } from './weighingError';

export const densityGPerMl = (of: string) =>
	z
		.number({ error: `Type the density of ${of}, such as 1.05 g/ml.` })
		.min(0.01, `The density of ${of} is under 0.01 g/ml: check the unit.`)
		.max(25, `The density of ${of} is over 25 g/ml: check the unit.`);

export const fillerInput = z.strictObject({
	name: z.string().max(200).default('filler'),
	densityGPerMl: densityGPerMl('the filler'),
	/** Loose (scooped) density; needed for fillers measured by scoop. */
	bulkDensityGPerMl: densityGPerMl('the loose filler').optional(),
	amount: z
		.number({ error: 'Type how much filler.' })
		.min(0, 'The filler cannot be less than nothing.')
		.max(1000, 'Over ten times the resin: check the amount.'),
	per: z.enum(['total-mass-percent', 'phr', 'b-volume-share', 'b-mass-percent'])
});
export type Filler = z.infer<typeof fillerInput>;

export const mixResinInput = z.strictObject({
	densityAGPerMl: densityGPerMl('A'),
	densityBGPerMl: densityGPerMl('B').optional(),
	ratio: ratioInput.optional()
});

const targetAmount = (what: string) =>
	z
		.number({ error: `Type the ${what} wanted.` })
		.positive(`The ${what} wanted must be more than nothing.`)
		.min(1e-3, `The ${what} wanted is under a thousandth: check the unit.`)
		.max(1e6, `The ${what} wanted is over a million: check the unit.`);

/** What is in the pot and how much of it is wanted. */
export const mixInput = z.strictObject({
	resin: mixResinInput,
	target: z.union([
		z.strictObject({ volumeMl: targetAmount('volume') }),
		z.strictObject({ massG: targetAmount('mass') })
	]),
	fillers: z.array(fillerInput).max(10).default([]),
	catalyst: catalystInput.optional(),
	/** Smallest step of the scale, g. */
	scaleResolutionG: z.number().positive().max(1000).default(1)
});
export type MixInput = z.input<typeof mixInput>;
type Parsed = z.output<typeof mixInput>;

export interface Amount {
	massG: number;
	volumeMl: number;
}

export interface MixResult {
	a: Amount;
	b: Amount;
	fillers: (Amount & { name: string; looseVolumeMl?: number })[];
	catalyst?: CatalystAmount;
	total: Amount & { densityGPerMl: number };
	fillerVolumeFraction: number;
	/** `null` past the packing limit: it no longer flows. */
	viscosityFactor: number | null;
	ratioErrorPercent: number;
	working: WorkingLine[];
	warnings: Warning[];
}

/** Grams of each thing for one gram of A + B. */
function perGramOfResin(input: Parsed, wA: number, wB: number, densityB: number): number[] {
	return input.fillers.map((filler, i) => {
		if (filler.per === 'phr') return filler.amount / 100;
		if (filler.per === 'total-mass-percent') return NaN;
		if (filler.per === 'b-mass-percent') {
			if (wB === 0) {
				throw new InputError(['fillers', i, 'per'], 'There is no B to take a share of: use phr.');
			}
			return (filler.amount / 100) * wB;
		}
		if (filler.bulkDensityGPerMl === undefined) {
			throw new InputError(
				['fillers', i, 'bulkDensityGPerMl'],
				`${filler.name} is measured by scoop: its loose density is needed (weigh a level cup of it).`
			);
		}
		if (wB === 0) {
			throw new InputError(['fillers', i, 'per'], 'There is no B to take a share of: use phr.');
		}
		return filler.amount * (wB / densityB) * filler.bulkDensityGPerMl;
	});
}

/** Fillers given as a share of the whole: the whole is solved for, since it holds them too. */
function resolveTotalShares(input: Parsed, shares: number[], catalystShare: number): number[] {
	const percent = input.fillers
		.filter((f) => f.per === 'total-mass-percent')
		.reduce((sum, f) => sum + f.amount, 0);
	if (percent > 95) {
		throw new InputError(
			['fillers'],
			`Fillers make ${digits(percent)} % of the whole: at most 95 % leaves any resin.`
		);
	}
	const rest = shares.reduce((sum, s) => sum + (Number.isNaN(s) ? 0 : s), 1 + catalystShare);
	const whole = rest / (1 - percent / 100);
	return shares.map((s, i) => (Number.isNaN(s) ? (whole * input.fillers[i]!.amount) / 100 : s));
}

/**
 * Amounts of A, B, fillers and catalyst for a volume or a mass.
 * Volumes add (1/ρ = Σ wᵢ/ρᵢ) with the *solid* density of fillers; a scooped filler takes its *loose*
 * density for its mass. Solved so that the sum of all volumes is the volume wanted.
 * @throws InputError for a missing density of B, a scoop without a loose density, or fillers over 95 %.
 * @example
 * mix({
 *   resin: { densityAGPerMl: 1.08, densityBGPerMl: 0.97, ratio: { by: 'weight', a: 100, b: 90 } },
 *   target: { volumeMl: 100 }
 * }).a.massG; // 53.944
 */
export function mix(raw: MixInput): MixResult {
	const input = mixInput.parse(raw);
	const { resin } = input;
	const ratio = resin.ratio;
	if (!ratio && !input.catalyst) {
		throw new InputError(['resin', 'ratio'], 'Give a ratio of A to B, or a catalyst.');
	}
	const hasB = ratio !== undefined && ratio.b > 0;
	if (hasB && resin.densityBGPerMl === undefined) {
		throw new InputError(['resin', 'densityBGPerMl'], 'Type the density of B, such as 1.05 g/ml.');
	}
	if (!hasB && !input.catalyst) {
		throw new InputError(['resin', 'ratio', 'b'], 'Without a B there must be a catalyst.');
	}
	const densityB = resin.densityBGPerMl ?? resin.densityAGPerMl;
	const bPerA = hasB ? bPerAByWeight(ratio, resin.densityAGPerMl, densityB) : 0;
	const wA = 1 / (1 + bPerA);
	const wB = bPerA / (1 + bPerA);
	const catalystShare = (input.catalyst?.percent ?? 0) / 100;
	const shares = resolveTotalShares(input, perGramOfResin(input, wA, wB, densityB), catalystShare);

	const resinMl = wA / resin.densityAGPerMl + wB / densityB;
	const fillerMl = shares.map((s, i) => s / input.fillers[i]!.densityGPerMl);
	const catalystMl = input.catalyst ? catalystShare / input.catalyst.densityGPerMl : 0;
	const massPerG = shares.reduce((x, s) => x + s, 1 + catalystShare);
	const solidMl = fillerMl.reduce((x, v) => x + v, 0);
	const volumePerG = resinMl + catalystMl + solidMl;
	const resinG =
		'volumeMl' in input.target ? input.target.volumeMl / volumePerG : input.target.massG / massPerG;

	const a = { massG: resinG * wA, volumeMl: (resinG * wA) / resin.densityAGPerMl };
	const b = { massG: resinG * wB, volumeMl: (resinG * wB) / densityB };
	const total = {
		massG: resinG * massPerG,
		volumeMl: resinG * volumePerG,
		densityGPerMl: massPerG / volumePerG
	};
	const fraction = solidMl / volumePerG;
	const catalyst = input.catalyst && catalystAmount(resinG, 1 / resinMl, input.catalyst);
	const factor = viscosityFactor(fraction);
	const ratioErrorPercent = weighingErrorPercent(
		a.massG,
		hasB ? b.massG : (catalyst?.massG ?? a.massG),
		input.scaleResolutionG
	);
	return {
		a,
		b,
		fillers: shares.map((s, i) => {
			const filler = input.fillers[i]!;
			const massG = s * resinG;
			const loose = filler.bulkDensityGPerMl ? { looseVolumeMl: massG / filler.bulkDensityGPerMl } : {};
			return { name: filler.name, massG, volumeMl: massG / filler.densityGPerMl, ...loose };
		}),
		...(catalyst ? { catalyst } : {}),
		total,
		fillerVolumeFraction: fraction,
		viscosityFactor: factor ?? null,
		ratioErrorPercent,
		working: mixWorking(hasB, bPerA, a, b, total, input.scaleResolutionG),
		warnings: mixWarnings(input, factor, fraction, ratioErrorPercent, hasB)
	};
}

function mixWorking(
	hasB: boolean,
	bPerA: number,
	a: Amount,
	b: Amount,
	total: MixResult['total'],
	stepG: number
): WorkingLine[] {
	const lines: WorkingLine[] = [
		{
			what: 'Mass of the mix',
			sum: `${digits(total.volumeMl)} ml × ${digits(total.densityGPerMl, 3)} g/ml`,
			result: `${digits(total.massG)} g`,
			source: 'volumes add: 1/ρ = Σ wᵢ/ρᵢ'
		}
	];
	if (hasB) {
		lines.push({
			what: 'A and B by weight',
			sum: `100 : ${digits(bPerA * 100, 1)}`,
			result: `${formatWeighed(a.massG, 'metric', stepG)} A, ${formatWeighed(b.massG, 'metric', stepG)} B`,
			source: 'a/b = (va/vb)·(ρA/ρB)'
		});
	}
	return lines;
}

function mixWarnings(
	input: Parsed,
	factor: number | undefined,
	fraction: number,
	errorPercent: number,
	hasB: boolean
): Warning[] {
	const warnings: Warning[] = [];
	if (factor === undefined) {
		warnings.push({
			code: 'too-much-filler',
			message: `Filler is ${digits(fraction * 100, 0)} % of the volume: past 63 % it no longer flows.`,
			action: 'Take less filler.'
		});
	}
	if (errorPercent > RATIO_TOLERANCE_PERCENT) {
		const what = hasB ? 'the ratio' : 'the catalyst';
		warnings.push({
			code: 'scale-too-coarse',
			message: `A scale that reads ${digits(input.scaleResolutionG)} g can put ${what} ${digits(errorPercent, 1)} % out.`,
			action: hasB ? 'Use a finer scale or mix more at once.' : 'Measure the catalyst by drops or syringe.'
		});
	}
	return warnings;
}
