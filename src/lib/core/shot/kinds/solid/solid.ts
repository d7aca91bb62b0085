import { z } from 'zod';
import { budget, stepInput, DEFAULT_MARGIN_PERCENT } from '../../../budget/budget';
import { bandOfTime, cupBands, type Band } from '../../../cure/bands';
import { cup, tempC } from '../../../cure/cup';
import { cureRecord } from '../../../cure/record';
import { fillerMixOf } from '../../../mix/fillerMixOf';
import { sections, sectionsInput } from '../../../cure/sections';
import { cupLossMl, cupMarkHeightMm, squareCupDiameterMm } from '../../../mix/cupLoss';
import { catalystInput } from '../../../mix/catalyst';
import { fillerInput, mix, mixResinInput } from '../../../mix/mix';
import { cupMarkErrorPercent } from '../../../mix/weighingError';
import { digits, formatTime } from '../../../units';
import type { Warning } from '../../../working';
import type { BatchBound, ShotBatch, SolidShot } from '../../batch';

const volume = (what: string) =>
	z
		.number({ error: `Type the volume of the ${what}, such as 85 ml.` })
		.min(0, `The volume of the ${what} cannot be less than nothing.`)
		.max(100_000, `The volume of the ${what} is over 100 l: check the unit.`);

export const lossInput = z.discriminatedUnion('by', [
	/** Wetted area × film: small shots get the larger share that they need. */
	z.object({ by: z.literal('film') }),
	z.object({
		by: z.literal('percent'),
		percent: z
			.number({ error: 'Type the loss in percent, such as 10 %.' })
			.min(0, 'The loss cannot be less than nothing.')
			.max(100, 'Over as much again lost: check the loss.')
	}),
	/** By what earlier pours took: mixed for each part that the moulds take by the sums, and how many pours say so. */
	z.object({
		by: z.literal('taken'),
		share: z
			.number()
			.min(0.3, 'Under a third of what it takes: check it.')
			.max(4, 'Over four times of what it takes: check it.'),
		pours: z.number().int().min(1)
	})
]);

/** Steps between combining and the last thing that needs liquid resin; `copy` steps repeat for each copy. */
export const shotStep = stepInput.extend({ per: z.enum(['batch', 'copy']).default('batch') });
export type ShotStep = z.infer<typeof shotStep>;

export const solidShotInput = z.object({
	cavityVolumeMl: volume('cavity').positive('The cavity must hold something.'),
	sprueVolumeMl: volume('sprue and vents').default(0),
	/** Moulds of other pieces that each cup fills: what they take with their sprues, and how many they are. */
	alsoMl: volume('other moulds').default(0),
	alsoCopies: z.number().int().min(0).max(400).default(0),
	loss: lossInput.default({ by: 'film' }),
	copies: z
		.number({ error: 'Type how many copies.' })
		.int('Copies are whole.')
		.min(1, 'At least one copy.')
		.max(500, 'At most 500 copies in one order.'),
	/** Cavities ready to be filled from one cup. */
	cavitiesAtOnce: z.number().int().min(1, 'At least one mould.').max(200),
	resin: mixResinInput,
	catalyst: catalystInput.optional(),
	/** Through and through, for weight, float, cost or a metal look. */
	fillers: z.array(fillerInput).max(10).default([]),
	/** Of their grains; a mineral's unless said. */
	fillerHeat: z
		.object({ conductivityWPerMK: z.number().positive(), specificHeatJPerGK: z.number().positive() })
		.default({ conductivityWPerMK: 2, specificHeatJPerGK: 0.85 }),
	cure: cureRecord,
	/** Of the fresh mix without its fillers. */
	viscosityMpaS: z.number().positive().max(1e7),
	/** Where it sets last and where it gets hottest, and the mould round it. */
	where: sectionsInput,
	steps: z.array(shotStep).min(1).max(20),
	startTempC: tempC('the temperature of the resin'),
	mouldTempC: tempC('the temperature of the mould'),
	roomTempC: tempC('the temperature of the room'),
	marginPercent: z.number().min(0).max(90).default(DEFAULT_MARGIN_PERCENT),
	scaleResolutionG: z.number().positive().max(1000).default(1),
	/** Largest cup, ml, and what the scale weighs at most, g. */
	cupMl: z.number().positive().max(1e7).optional(),
	scaleCapacityG: z.number().positive().max(1e7).optional(),
	/** Copies whose moulds go into the pot together. */
	potCopies: z.number().int().min(0).max(1000).optional()
});
export type SolidShotInput = z.input<typeof solidShotInput>;
type Parsed = z.output<typeof solidShotInput>;

/** Past gel by this share before the pot may be opened (common practice, no source). */
export const HOLD_MARGIN = 0.25;

/** What is mixed beyond what the moulds take by the sums, ml; below nothing where earlier pours took less. */
function lossOf({ loss, viscosityMpaS }: Parsed, pouredMl: number, thickness: number): number {
	if (loss.by === 'percent') return (pouredMl * loss.percent) / 100;
	return loss.by === 'taken' ? pouredMl * (loss.share - 1) : cupLossMl(pouredMl, viscosityMpaS * thickness);
}

/** What that rests on. */
const LOSS_WORDS = {
	film: {
		sum: () => 'wetted area × film',
		source: 'film 0.1 mm at 100 mPa·s, growing with √viscosity: common practice, no source'
	},
	percent: {
		sum: (l: Parsed['loss']) => (l.by === 'percent' ? `${digits(l.percent)} %` : ''),
		source: 'typed'
	},
	taken: {
		sum: (l: Parsed['loss']) =>
			l.by === 'taken' ? `by what the last ${l.pours === 1 ? 'pour' : `${l.pours} pours`} took` : '',
		source: 'what was noted as left over; Winsorised mean, and enough nine times in ten'
	}
} as const;

function solveBatch(
	input: Parsed,
	raw: SolidShotInput,
	copies: number,
	thickness: number,
	sure: Pick<Band, 'sd' | 'mostly'>
): ShotBatch {
	const pouredMl = copies * (input.cavityVolumeMl + input.sprueVolumeMl) + input.alsoMl;
	const poured = copies + input.alsoCopies;
	const lossMl = lossOf(input, pouredMl, thickness);
	const mixed = mix({
		resin: raw.resin,
		...(raw.catalyst ? { catalyst: raw.catalyst } : {}),
		target: { volumeMl: pouredMl + lossMl },
		...(raw.fillers?.length ? { fillers: raw.fillers } : {}),
		scaleResolutionG: input.scaleResolutionG
	});
	const clock = cup({
		resin: raw.cure,
		massG: mixed.total.massG,
		startTempC: input.startTempC,
		roomTempC: input.roomTempC
	});
	const steps = input.steps.map(({ name, durationS, per }) => ({
		name: per === 'copy' && poured > 1 ? `${name} ×${poured}` : name,
		durationS: durationS * (per === 'copy' ? poured : 1)
	}));
	const potLifeBand = bandOfTime(clock.potLifeS, sure);
	const times = budget({
		steps,
		potLifeS: clock.potLifeS,
		marginPercent: input.marginPercent,
		potLifeLowS: potLifeBand.lowS
	});
	const cupDiameterMm = squareCupDiameterMm(Math.max(mixed.a.volumeMl, mixed.b.volumeMl));
	return {
		copies,
		pouredMl,
		...(input.alsoMl > 0 ? { alsoMl: input.alsoMl } : {}),
		lossMl,
		volumeMl: mixed.total.volumeMl,
		massG: mixed.total.massG,
		a: mixed.a,
		b: mixed.b,
		...(mixed.catalyst ? { catalyst: mixed.catalyst } : {}),
		fillers: mixed.fillers,
		potLifeS: clock.potLifeS,
		potLifeBand,
		clockSource: `cup model on the ${clock.working[0]?.source ?? 'sheet'}`,
		gelTimeS: clock.gelTimeS,
		peakTempC: clock.peakTempC,
		steps,
		budget: times,
		slackS: times.slackS,
		fits: times.fits,
		schools: {
			scale: { resolutionG: input.scaleResolutionG, errorPercent: mixed.ratioErrorPercent },
			marks: {
				cupDiameterMm,
				markAMm: cupMarkHeightMm(mixed.a.volumeMl, cupDiameterMm),
				markBMm: cupMarkHeightMm(mixed.b.volumeMl, cupDiameterMm),
				errorPercent:
					mixed.b.volumeMl > 0 ? cupMarkErrorPercent(mixed.a.volumeMl, mixed.b.volumeMl, cupDiameterMm) : 0
			}
		}
	};
}

/**
 * Sizes a solid shot: cavity, sprue and what stays in the cup, for each batch, with the pot life of that
 * very mass at these temperatures, the steps against it and the largest batch that still fits.
 * @throws ZodError out of range; InputError from the cure engine when nothing would set.
 * @example
 * solidShot({
 *   cavityVolumeMl: 120,
 *   copies: 2,
 *   cavitiesAtOnce: 2,
 *   resin: mixable(urethane),
 *   cure: cureOf(urethane),
 *   viscosityMpaS: 120,
 *   where: { section: { shape: 'slab', thicknessMm: 6 }, mouldWallMm: 12 },
 *   steps: [{ name: 'Mix', durationS: 40 }],
 *   startTempC: 21,
 *   mouldTempC: 21,
 *   roomTempC: 21
 * }).batches[0]?.massG; // 253.07
 */
export function solidShot(raw: SolidShotInput): SolidShot {
	const input = solidShotInput.parse(raw);
	const mixed = raw.fillers?.length
		? mix({
				resin: raw.resin,
				...(raw.catalyst ? { catalyst: raw.catalyst } : {}),
				target: { volumeMl: 100 },
				fillers: raw.fillers
			})
		: undefined;
	const fillerMix = mixed && fillerMixOf(mixed, () => input.fillerHeat);
	const cure = fillerMix ? { ...raw.cure, fillerMix } : raw.cure;
	// how sure a pot life is hangs little on the mass: worked out once, for one copy
	const sure = cupBands({
		resin: cure,
		massG: (input.cavityVolumeMl + input.sprueVolumeMl + input.alsoMl) * (raw.cure.densityGPerMl ?? 1.05),
		startTempC: input.startTempC,
		roomTempC: input.roomTempC
	}).potLifeS;
	const solved = new Map<number, ShotBatch>();
	const batchOf = (copies: number) => {
		// past the packing limit there is no thickness, and the warning says so
		const known =
			solved.get(copies) ?? solveBatch(input, { ...raw, cure }, copies, mixed?.viscosityFactor ?? 1, sure);
		solved.set(copies, known);
		return known;
	};
	const { largestBatch, bound } = largest(input, batchOf);
	const size = Math.max(1, largestBatch);
	const batches: ShotBatch[] = [];
	for (let left = input.copies; left > 0; left -= size) batches.push(batchOf(Math.min(size, left)));

	const firm = sections(cure, input.where, input);
	const first = batches[0]!;
	return {
		...(fillerMix ? { fillerMix } : {}),
		batches,
		largestBatch,
		bound,
		volumeMl: batches.reduce((sum, b) => sum + b.volumeMl, 0),
		massG: batches.reduce((sum, b) => sum + b.massG, 0),
		demouldS: firm.demouldS,
		flexibleS: firm.flexibleS,
		maturedS: firm.maturedS,
		holdUntilS: firm.gelLastS * (1 + HOLD_MARGIN),
		peakMouldFaceC: firm.peakMouldFaceC,
		working: [
			{
				what: 'Into the moulds',
				sum: `${first.copies} × (${digits(input.cavityVolumeMl)} + ${digits(input.sprueVolumeMl)})${input.alsoMl > 0 ? ` + ${digits(input.alsoMl)}` : ''} ml`,
				result: `${digits(first.pouredMl)} ml`
			},
			{
				what: 'Stays in the cup and on tools',
				sum: LOSS_WORDS[input.loss.by].sum(input.loss),
				result: `${digits(first.lossMl)} ml (${digits((100 * first.lossMl) / first.pouredMl)} %)`,
				source: LOSS_WORDS[input.loss.by].source
			},
			{
				what: 'Mass of the batch',
				sum: `${digits(first.volumeMl)} ml × ${digits(first.massG / first.volumeMl, 3)} g/ml`,
				result: `${digits(first.massG)} g`,
				source: '1/ρ = Σ wᵢ/ρᵢ'
			},
			{
				what: 'Pot life of this mass',
				sum: `${digits(first.massG)} g at ${digits(input.startTempC)} °C, room ${digits(input.roomTempC)} °C`,
				result: formatTime(first.potLifeS),
				source: first.clockSource
			},
			...first.budget.working,
			...firm.working
		],
		warnings: [
			...firm.warnings,
			...(mixed?.warnings.filter((w) => w.code === 'too-much-filler') ?? []),
			...shotWarnings(input, largestBatch, bound, first)
		]
	};
}

/** The most copies from one cup, and what stops there. All limits grow with the copies, so the first that holds is the most. */
function largest(
	input: Parsed,
	batchOf: (copies: number) => ShotBatch
): { largestBatch: number; bound: BatchBound } {
	const wanted = Math.min(input.copies, input.cavitiesAtOnce, input.potCopies ?? Infinity);
	let bound: BatchBound =
		input.potCopies !== undefined &&
		input.potCopies === wanted &&
		wanted < Math.min(input.copies, input.cavitiesAtOnce)
			? 'pot'
			: input.cavitiesAtOnce < input.copies
				? 'moulds'
				: 'order';
	for (let n = wanted; n > 0; n--) {
		const batch = batchOf(n);
		if (!batch.fits) bound = 'pot life';
		// stirred without spilling, a cup is filled to four fifths (common practice, no source)
		else if (input.cupMl !== undefined && batch.volumeMl > input.cupMl * CUP_FILL && n > 1) bound = 'cup';
		else if (input.scaleCapacityG !== undefined && batch.massG > input.scaleCapacityG && n > 1)
			bound = 'scale';
		else return { largestBatch: n, bound };
	}
	return { largestBatch: 0, bound };
}

/** Share of a mixing cup that is filled. */
export const CUP_FILL = 0.8;

const BOUND_WORDS: Readonly<Record<BatchBound, string>> = {
	order: 'the order',
	moulds: 'the moulds',
	'pot life': 'the pot life',
	cup: 'the largest mixing cup',
	scale: 'what the scale weighs',
	pot: 'the pressure pot'
};

function shotWarnings(input: Parsed, largestBatch: number, bound: BatchBound, first: ShotBatch): Warning[] {
	const warnings: Warning[] = [];
	const wanted = Math.min(input.copies, input.cavitiesAtOnce);
	if (largestBatch === 0) {
		warnings.push({
			code: 'does-not-fit',
			severity: 'harm',
			message: `Even one copy runs ${formatTime(-first.slackS)} past the usable pot life.`,
			action:
				'Pour from two cups with a second person, cool the parts, shorten a step or take a slower resin.'
		});
	} else if (largestBatch < wanted) {
		warnings.push({
			code: 'split',
			message: `${wanted} copies from one cup do not fit ${BOUND_WORDS[bound]}.`,
			action: `Mix ${largestBatch} at a time: planned as ${Math.ceil(input.copies / largestBatch)} batches.`
		});
	}
	if (input.cupMl !== undefined && first.volumeMl > input.cupMl * CUP_FILL) {
		warnings.push({
			code: 'cup-too-small',
			message: `${digits(first.volumeMl)} ml are more than the largest cup of ${digits(input.cupMl)} ml stirs without spilling.`,
			action: 'A larger cup, or several cups poured together by more hands.'
		});
	}
	if (input.scaleCapacityG !== undefined && first.massG > input.scaleCapacityG) {
		warnings.push({
			code: 'scale-too-small',
			message: `${digits(first.massG)} g are more than the scale weighs at once.`,
			action: 'Weigh each part in its own cup, or in portions.'
		});
	}
	return [...warnings, ...scaleWarnings(first)];
}

/** A ratio that the scale cannot hold. */
export function scaleWarnings(first: Pick<ShotBatch, 'schools' | 'b'>): Warning[] {
	const { scale } = first.schools;
	if (!(scale.errorPercent > 2 && first.b.massG > 0)) return [];
	return [
		{
			code: 'scale-too-coarse',
			message: `A scale that reads ${digits(scale.resolutionG)} g can put the ratio ${digits(scale.errorPercent, 1)} % out on a shot this small.`,
			action: 'Use a finer scale, or mix more and keep spare moulds ready.'
		}
	];
}
