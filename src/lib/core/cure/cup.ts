import { z } from 'zod';
import { digits, formatTime } from '../units';
import { InputError, type Warning, type WorkingLine } from '../working';
import { calibrate, cupResin } from './calibrate';
import type { CureModel } from './model';
import { CUP_LOSS_W_PER_M2K, crossing, integrateCup, standardCupAreaM2, type CupSetup } from './cupModel';
import { cureRecord } from './record';

/**
 * A temperature of the workshop, °C, with a sentence when it is none.
 * @example
 * tempC('the room').safeParse(900).success; // false
 */
export const tempC = (what: string) =>
	z
		.number({ error: `Type ${what}, such as 23 C.` })
		.min(-10, `${what[0]!.toUpperCase()}${what.slice(1)} is under −10 °C: check the unit.`)
		.max(100, `${what[0]!.toUpperCase()}${what.slice(1)} is over 100 °C: check the unit.`);

/** A cup of mixed resin and where it stands. */
export const cupInput = z.strictObject({
	resin: cureRecord,
	massG: z
		.number({ error: 'Type the mass in the cup, such as 120 g.' })
		.min(0.1, 'Under 0.1 g there is no cup to speak of.')
		.max(100_000, 'Over 100 kg in one cup: check the unit.'),
	startTempC: tempC('the temperature of the resin'),
	roomTempC: tempC('the temperature of the room'),
	/** Temperature at which the maker pours, °C. */
	pourTempC: z.number().min(0).max(150).optional(),
	/** Inner width of the cup, mm; a cup as tall as wide when left out. */
	cupDiameterMm: z.number().positive().max(2000).optional()
});
export type CupInput = z.input<typeof cupInput>;
export type ParsedCupInput = z.output<typeof cupInput>;

export interface CupPoint {
	timeS: number;
	tempC: number;
	conversion: number;
}

export interface CupResult {
	/** Too thick to pour, seconds after combining. */
	potLifeS: number;
	gelTimeS: number;
	peakTempC: number;
	peakTimeS: number;
	/** Left out when that temperature is never reached. */
	reachesPourTempS?: number;
	series: CupPoint[];
	working: WorkingLine[];
	warnings: Warning[];
}

const HORIZON_S = 30 * 86_400;
const SERIES_POINTS = 160;

/** Surface of resin standing in a cup of known width, both ends counted, m². */
function cupAreaM2(massG: number, densityGPerMl: number, diameterMm: number | undefined): number {
	if (diameterMm === undefined) return standardCupAreaM2(massG, densityGPerMl);
	const d = diameterMm / 1000;
	const heightM = massG / densityGPerMl / 1e6 / ((Math.PI * d * d) / 4);
	return (Math.PI * d * d) / 2 + Math.PI * d * heightM;
}

/**
 * Pot life, gel, temperature and peak of a mass of mixed resin in its cup: one lumped mass that heats
 * itself and loses heat through its surface. Calibrated so that the sheet's pot life comes back.
 * @throws ZodError out of range; InputError when the resin would not set within thirty days.
 * @example
 * cup({
 *   resin: { potLifeS: 150, demouldS: 900, character: 'quick' },
 *   massG: 100,
 *   startTempC: 23,
 *   roomTempC: 23
 * }).potLifeS; // 150
 */
export function cup(raw: CupInput): CupResult {
	return runCup(cupInput.parse(raw), calibrate(raw.resin));
}

/**
 * Pot life, gel and peak of a cup alone.
 * @throws as `cup` does.
 */
export function cupFigures(raw: CupInput): Pick<CupResult, 'potLifeS' | 'gelTimeS' | 'peakTempC'> {
	const { potLifeS, gelTimeS, peakTempC } = runCup(cupInput.parse(raw), {
		...cupResin(raw.resin),
		warnings: []
	});
	return { potLifeS, gelTimeS, peakTempC };
}

/** Everything that a cup's equation needs, for a resin whose constants are settled. */
export function cupSetup(input: ParsedCupInput, model: CureModel): CupSetup {
	return {
		kinetics: model.kinetics,
		massG: input.massG,
		densityGPerMl: model.densityGPerMl,
		specificHeatJPerGK: model.specificHeatJPerGK,
		startTempC: input.startTempC,
		roomTempC: input.roomTempC,
		areaM2: cupAreaM2(input.massG, model.densityGPerMl, input.cupDiameterMm),
		lossWPerM2K: CUP_LOSS_W_PER_M2K
	};
}

/** Said where the sums themselves did not come to an end, which says nothing of the resin. */
export const NO_END = 'The sums of this record do not come to an end: check its constants.';

/** The cup of `cup`, for a model that was calibrated or fitted already. */
export function runCup(input: ParsedCupInput, model: CureModel): CupResult {
	const marks = { potLifeS: NaN, gelS: NaN, pourTempS: NaN };
	const points: CupPoint[] = [{ timeS: 0, tempC: input.startTempC, conversion: 0 }];
	let peak = { timeS: 0, tempC: input.startTempC };
	const pourTempC = input.pourTempC;
	if (pourTempC !== undefined && input.startTempC >= pourTempC) marks.pourTempS = 0;
	const end = integrateCup(cupSetup(input, model), HORIZON_S, (step) => {
		if (Number.isNaN(marks.potLifeS) && step.y1[0]! >= model.potLifeConversion)
			marks.potLifeS = crossing(step, 0, model.potLifeConversion);
		if (Number.isNaN(marks.gelS) && step.y1[0]! >= model.gelConversion)
			marks.gelS = crossing(step, 0, model.gelConversion);
		if (Number.isNaN(marks.pourTempS) && pourTempC !== undefined && step.y1[1]! >= pourTempC)
			marks.pourTempS = crossing(step, 1, pourTempC);
		// four points a step draw the curve and find the peak to a thousandth of a degree
		for (let q = 1; q <= 4; q++) {
			const at = step.t0 + ((step.t1 - step.t0) * q) / 4;
			const point = { timeS: at, tempC: step.dense(at, 1), conversion: step.dense(at, 0) };
			points.push(point);
			if (point.tempC > peak.tempC) peak = point;
		}
		const pastPeak = step.t1 > 1.3 * peak.timeS;
		const cooled = step.y1[1]! - input.roomTempC < 0.5 * (peak.tempC - input.roomTempC);
		const done = step.t1 > 1.6 * marks.gelS && pastPeak && cooled;
		return done || step.t1 > 20 * Math.max(marks.gelS, peak.timeS);
	});
	if (Number.isNaN(marks.gelS) && end.ended !== 'reached') throw new InputError(['resin'], NO_END);
	if (Number.isNaN(marks.gelS)) {
		throw new InputError(['roomTempC'], 'At this temperature the resin does not set within thirty days.');
	}
	return {
		potLifeS: marks.potLifeS,
		gelTimeS: marks.gelS,
		peakTempC: peak.tempC,
		peakTimeS: peak.timeS,
		...(Number.isNaN(marks.pourTempS) ? {} : { reachesPourTempS: marks.pourTempS }),
		series: resample(points, marks.gelS, SERIES_POINTS),
		working: [
			{
				what: 'Pot life',
				sum: `${digits(input.massG)} g at ${digits(input.startTempC)} °C in a room of ${digits(input.roomTempC)} °C`,
				result: formatTime(marks.potLifeS),
				source: sheetSource(input)
			},
			{ what: 'Gel', sum: `conversion ${digits(model.gelConversion)}`, result: formatTime(marks.gelS) },
			{
				what: 'Hottest',
				sum: `after ${formatTime(peak.timeS)}`,
				result: `${digits(peak.tempC, 0)} °C`,
				source: model.defaulted.length
					? `defaults, not from your sheet: ${model.defaulted.join(', ')}`
					: 'sheet'
			}
		],
		warnings: cupWarnings(input, model.warnings, marks.pourTempS, peak.tempC)
	};
}

function sheetSource(input: ParsedCupInput): string {
	const { resin } = input;
	if (resin.catalyst)
		return `sheet: gel ${formatTime(resin.catalyst.referenceGelS)} at ${digits(resin.catalyst.referencePercent)} %, ${digits(resin.catalyst.referenceTempC)} °C; yours ${digits(resin.catalyst.percent)} %`;
	return `sheet: ${formatTime(resin.potLifeS!)} for ${digits(resin.potLifeMassG)} g at ${digits(resin.potLifeTempC)} °C`;
}

function cupWarnings(
	input: ParsedCupInput,
	fromRecord: readonly Warning[],
	pourS: number,
	peakTempC: number
): Warning[] {
	const warnings = [...fromRecord];
	if (input.pourTempC !== undefined && Number.isNaN(pourS)) {
		warnings.push({
			code: 'pour-temp-not-reached',
			message: `This cup peaks at ${digits(peakTempC, 0)} °C and never reaches ${digits(input.pourTempC, 0)} °C.`,
			action: 'Pour by the clock, or at a lower temperature.'
		});
	}
	if (peakTempC > 120) {
		warnings.push({
			code: 'hot-cup',
			severity: 'harm',
			message: `Left in the cup this mass heats itself to about ${digits(peakTempC, 0)} °C: it can smoke and melt the cup.`,
			action: 'Spread left-overs out thin, outdoors if they smoke; never put a lid on.'
		});
	}
	return warnings;
}

/** Points along a curve, linear between those that were computed: two thirds of them up to well past gel. */
function resample(points: readonly CupPoint[], gelS: number, count: number): CupPoint[] {
	const endS = points[points.length - 1]!.timeS;
	const bendS = Math.min(endS, 2 * gelS);
	const early = bendS < endS ? Math.round((count * 2) / 3) : count;
	const times = Array.from({ length: count + 1 }, (_, i) =>
		i <= early ? (bendS * i) / early : bendS + ((endS - bendS) * (i - early)) / (count - early)
	);
	let j = 0;
	return times.map((t) => {
		while (j < points.length - 2 && points[j + 1]!.timeS < t) j++;
		const [p, q] = [points[j]!, points[j + 1]!];
		const share = (t - p.timeS) / (q.timeS - p.timeS);
		return {
			timeS: t,
			tempC: p.tempC + share * (q.tempC - p.tempC),
			conversion: p.conversion + share * (q.conversion - p.conversion)
		};
	});
}
