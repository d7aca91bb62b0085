import { z } from 'zod';
import { digits, formatTime } from '../units';
import { InputError, type Warning, type WorkingLine } from '../working';
import { calibrate } from './calibrate';
import { cup, tempC } from './cup';
import { solvePart, type PartSetup } from './partModel';
import { cureRecord, type CureRecord } from './record';
import { stagesOf, type Stages } from './stages';

/** What is cast, and what must not happen to it. */
export const catalystPlanInput = z.strictObject({
	resin: cureRecord,
	massG: z
		.number({ error: 'Type the mass in the cup, such as 400 g.' })
		.min(0.1, 'Under 0.1 g there is no cup to speak of.')
		.max(100_000, 'Over 100 kg in one cup: check the unit.'),
	thicknessMm: z
		.number({ error: 'Type the thickest section, such as 40 mm.' })
		.min(0.2, 'Under 0.2 mm there is no section to speak of.')
		.max(1000, 'Over 1 m thick: check the unit.'),
	mouldWallMm: z.number().min(0.5).max(500).default(12),
	/** Poured into an open form: one face to the air. */
	open: z.boolean().default(false),
	startTempC: tempC('the temperature of the resin'),
	roomTempC: tempC('the temperature of the room'),
	/** The hottest that the middle may get before it cracks, °C; from the sheet or from trials. */
	crackLimitC: z
		.number({ error: 'Type the hottest that the middle may get, such as 90 C.' })
		.min(20, 'Under 20 °C it would not cure at all.')
		.max(300, 'Over 300 °C: check the unit.'),
	/** Time needed to stir and pour, s. */
	neededS: z
		.number({ error: 'Type the time that stirring and pouring take, such as 5 min.' })
		.min(0, 'The time needed cannot be less than nothing.')
		.max(86_400, 'Over a day to pour: check the unit.'),
	minPercent: z.number().min(0.1, 'At least 0.1 %.').max(10).default(0.5),
	maxPercent: z.number().min(0.1).max(10, 'At most 10 %.').default(3),
	/** Between which shares this resin is usually catalysed (common practice, no source). */
	usualMinPercent: z.number().min(0.1, 'At least 0.1 %.').max(10).default(1),
	usualMaxPercent: z.number().min(0.1).max(10, 'At most 10 %.').default(2)
});
export type CatalystPlanInput = z.input<typeof catalystPlanInput>;

interface CatalystShare {
	percent: number;
	potLifeS: number;
	gelTimeS: number;
	peakTempC: number;
	fits: boolean;
}

export interface CatalystPlan {
	/** The share to take: of the usual ones that fit, the one that gels nearest to the sheet’s time; `null`: none fits. */
	percent: number | null;
	/** Even the least usual share does not fit: it takes less. */
	lessThanUsual: boolean;
	/** The highest share that neither cracks nor runs out of time: a bound, not the answer. */
	highestPercent: number | null;
	limitedBy: 'crack' | 'time' | 'range' | 'none-fits';
	/** Times at the slowest place with that share, s: for the next layer and for embedding. */
	stages?: Stages;
	shares: CatalystShare[];
	working: WorkingLine[];
	warnings: Warning[];
}

const STEP = 0.1;

/**
 * The usual catalyst share for this mass, section and room, on a grid of 0.1 %: one whose peak stays under the crack
 * limit and whose pot life leaves time to pour. More catalyst is hotter and quicker, so the search may stop at the
 * first share that does not fit.
 * @throws ZodError out of range; InputError for a resin that is not catalysed by share.
 * @example
 * catalystPlan({
 *   resin: {
 *     chemistry: 'polyester',
 *     demouldS: 14_400,
 *     character: 'gradual',
 *     catalyst: { percent: 1, referencePercent: 1, referenceGelS: 1200 }
 *   },
 *   massG: 100,
 *   thicknessMm: 12,
 *   startTempC: 20,
 *   roomTempC: 20,
 *   crackLimitC: 125,
 *   neededS: 300
 * }).percent; // 1.4
 */
export function catalystPlan(raw: CatalystPlanInput): CatalystPlan {
	const input = catalystPlanInput.parse(raw);
	const { catalyst } = input.resin;
	if (!catalyst) throw new InputError(['resin', 'catalyst'], 'This resin is not catalysed by share.');
	if (input.minPercent > input.maxPercent) {
		throw new InputError(['minPercent'], 'The least share is above the greatest: swap them.');
	}
	const at = (percent: number): CureRecord => ({ ...raw.resin, catalyst: { ...catalyst, percent } });
	const shares: CatalystShare[] = [];
	const count = Math.round((input.maxPercent - input.minPercent) / STEP);
	for (let i = 0; i <= count; i++) {
		const percent = Math.round((input.minPercent + i * STEP) * 10) / 10;
		const clock = cup({
			resin: at(percent),
			massG: input.massG,
			startTempC: input.startTempC,
			roomTempC: input.roomTempC
		});
		const run = solvePart(calibrate(at(percent)), setupOf(input));
		const fits = run.peakTempC <= input.crackLimitC && clock.potLifeS >= input.neededS;
		shares.push({
			percent,
			potLifeS: clock.potLifeS,
			gelTimeS: clock.gelTimeS,
			peakTempC: run.peakTempC,
			fits
		});
		if (!fits) break;
	}
	const last = shares[shares.length - 1]!;
	const fitting = shares.filter((s) => s.fits);
	const highest = fitting.at(-1);
	const misses = (s: CatalystShare) => Math.abs(Math.log(s.gelTimeS / catalyst.referenceGelS));
	const usual = fitting
		.filter((s) => s.percent >= input.usualMinPercent && s.percent <= input.usualMaxPercent)
		.sort((a, b) => misses(a) - misses(b))[0];
	const best = usual ?? highest;
	const stopped = last.fits ? 'range' : last.peakTempC > input.crackLimitC ? 'crack' : 'time';
	return {
		percent: best?.percent ?? null,
		lessThanUsual: best !== undefined && best.percent < input.usualMinPercent,
		highestPercent: highest?.percent ?? null,
		limitedBy: best ? stopped : 'none-fits',
		...(best ? { stages: stagesOf(at(best.percent), setupOf(input)) } : {}),
		shares,
		working: [...new Set([best, highest, last].filter((s) => s !== undefined))].map((s) => ({
			what: `With ${digits(s.percent)} %`,
			sum: `middle of ${digits(input.thicknessMm)} mm peaks at ${digits(s.peakTempC, 0)} °C, too thick after ${formatTime(s.potLifeS)}`,
			result: s.fits ? 'fits' : s.peakTempC > input.crackLimitC ? 'may crack' : 'too quick',
			source: 'part and cup model; heat of cure is a default unless the record says otherwise'
		})),
		warnings: best
			? []
			: [
					{
						code: 'no-share-fits',
						severity: 'harm',
						message: `Even ${digits(last.percent)} % peaks at ${digits(last.peakTempC, 0)} °C or sets in ${formatTime(last.potLifeS)}.`,
						action: 'Cast it in layers, each at the gel of the last, or cool the room and the resin.'
					}
				]
	};
}

type Parsed = z.output<typeof catalystPlanInput>;

const setupOf = (input: Parsed): PartSetup => ({
	open: input.open,
	section: { shape: 'slab', thicknessMm: input.thicknessMm },
	mouldWallMm: input.mouldWallMm,
	startTempC: input.startTempC,
	mouldTempC: input.roomTempC,
	roomTempC: input.roomTempC
});
