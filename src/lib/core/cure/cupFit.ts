import { z } from 'zod';
import { digits } from '../units';
import { InputError, type Warning } from '../working';
import { calibrate } from './calibrate';
import type { CureModel } from './model';
import { cupInput, cupSetup, runCup, type CupResult, type ParsedCupInput } from './cup';
import { integrateCup } from './cupModel';

/** A gun thermometer's own error, °C (common practice, no source). */
export const READING_ERROR_C = 0.8;
/** How far a batch may be from its sheet before any reading: one standard deviation of ln(rate). */
export const PRIOR_LN_RATE = 0.25;
/** The same for the autocatalysis m, which is only learned from four readings on. */
export const PRIOR_M = 2;
/** Said where readings did not lead to one speed: nothing is corrected, shown or kept by them. */
export const UNSETTLED: Warning = {
	code: 'readings-unsettled',
	message: 'These readings lead to no single speed of the batch, so nothing is corrected by them.',
	action: 'Check them, or read again a little later.'
};

const READINGS_FOR_M = 4;
/** Half-width of an 80 % band in standard deviations of a normal distribution. */
const BAND_80 = 1.2816;

export const cupFitInput = cupInput.extend({
	readings: z
		.array(
			z.strictObject({
				timeS: z
					.number({ error: 'Type when it was read, such as 1:20.' })
					.min(0, 'A reading is taken after combining.')
					.max(1e6, 'Over eleven days after combining: check the unit.'),
				tempC: z
					.number({ error: 'Type what the thermometer showed, such as 31 C.' })
					.min(-20, 'Under −20 °C: check the reading.')
					.max(300, 'Over 300 °C: check the reading.')
			})
		)
		.min(1, 'Give at least one reading.')
		.max(500, 'At most 500 readings.')
});
export type CupFitInput = z.input<typeof cupFitInput>;

export interface CupFitResult extends CupResult {
	/** Root of the mean square difference to the readings, °C. */
	rmsC: number;
	/** Speed of this batch against its sheet: 1.2 is a fifth faster. */
	rateFactor: number;
	/** Autocatalysis after the fit. */
	m: number;
	/** 80 % band of the pot life, s. */
	potLifeLowS: number;
	potLifeHighS: number;
	converged: boolean;
}

/** Parameters of the fit: ln of the rate factor, and the change of m. */
type Params = readonly number[];

function fitted(model: CureModel, p: Params): CureModel {
	const speed = Math.exp(p[0]!);
	const kinetics = {
		...model.kinetics,
		k23PerS: model.kinetics.k23PerS * speed,
		inductionPerS: model.kinetics.inductionPerS * speed,
		m: Math.max(0, model.kinetics.m + (p[1] ?? 0))
	};
	return { ...model, kinetics };
}

/** Temperatures of the model at the readings' times (sorted), °C. */
function temperaturesAt(input: ParsedCupInput, model: CureModel, timesS: readonly number[]): number[] {
	const out: number[] = [];
	while (out.length < timesS.length && timesS[out.length]! <= 0) out.push(input.startTempC);
	const last = timesS[timesS.length - 1]!;
	if (out.length < timesS.length) {
		integrateCup(cupSetup(input, model), last, (step) => {
			while (out.length < timesS.length && timesS[out.length]! <= step.t1) {
				out.push(step.dense(timesS[out.length]!, 1));
			}
			return out.length === timesS.length;
		});
	}
	// the last reading may fall a rounding past the last step
	while (out.length < timesS.length) out.push(out[out.length - 1] ?? input.startTempC);
	return out;
}

/** Solves the 1×1 or 2×2 normal equations; the prior keeps them well away from singular. */
function solveNormal(a: readonly (readonly number[])[], b: readonly number[]): number[] {
	if (b.length === 1) return [b[0]! / a[0]![0]!];
	const det = a[0]![0]! * a[1]![1]! - a[0]![1]! * a[1]![0]!;
	return [(b[0]! * a[1]![1]! - b[1]! * a[0]![1]!) / det, (b[1]! * a[0]![0]! - b[0]! * a[1]![0]!) / det];
}

/**
 * Learns from temperatures read during a pour: the batch's speed, and from four readings on its
 * autocatalysis, by least squares with the sheet's calibration as a prior (Gauss–Newton with step
 * halving on the log rate). Gives the forecast anew, with an 80 % band of the pot life from the
 * curvature at the optimum.
 * @throws ZodError out of range; InputError when the resin would not set.
 */
export function cupFit(raw: CupFitInput): CupFitResult {
	const input = cupFitInput.parse(raw);
	const model = calibrate(raw.resin);
	const readings = [...input.readings].sort((x, y) => x.timeS - y.timeS);
	const timesS = readings.map((r) => r.timeS);
	const priors = readings.length >= READINGS_FOR_M ? [PRIOR_LN_RATE, PRIOR_M] : [PRIOR_LN_RATE];

	const residuals = (p: Params) => {
		const temps = temperaturesAt(input, fitted(model, p), timesS);
		return [
			...temps.map((t, i) => (readings[i]!.tempC - t) / READING_ERROR_C),
			...priors.map((sd, i) => -p[i]! / sd)
		];
	};
	const cost = (r: readonly number[]) => r.reduce((sum, x) => sum + x * x, 0);

	let p: number[] = priors.map(() => 0);
	let r = residuals(p);
	let normal: number[][] = [];
	let converged = false;
	for (let round = 0; round < 40 && !converged; round++) {
		const step = [1e-4, 1e-3];
		const columns = p.map((_, j) => {
			const moved = residuals(p.map((x, k) => (k === j ? x + step[j]! : x)));
			return moved.map((x, i) => (x - r[i]!) / step[j]!);
		});
		normal = columns.map((cj) => columns.map((ck) => cj.reduce((sum, x, i) => sum + x * ck[i]!, 0)));
		const gradient = columns.map((cj) => -cj.reduce((sum, x, i) => sum + x * r[i]!, 0));
		const move = solveNormal(normal, gradient);
		let share = Math.min(1, 1 / Math.max(Math.abs(move[0]!), Math.abs(move[1] ?? 0) / 4));
		let next = p;
		let nextR = r;
		for (let halving = 0; halving < 12; halving++, share /= 2) {
			next = p.map((x, i) => x + share * move[i]!);
			nextR = residuals(next);
			if (cost(nextR) <= cost(r)) break;
		}
		converged = cost(r) - cost(nextR) < 1e-7 * (1 + cost(r));
		if (cost(nextR) <= cost(r)) [p, r] = [next, nextR];
	}
	const best = fitted(model, p);
	const result = runCup(input, best);
	const temps = temperaturesAt(input, best, timesS);
	const rmsC = Math.sqrt(
		temps.reduce((sum, t, i) => sum + (t - readings[i]!.tempC) ** 2, 0) / readings.length
	);
	const sd = spreadOfLnPotLife(input, model, p, normal, Math.max(1, rmsC / READING_ERROR_C), result.potLifeS);
	const rateFactor = Math.exp(p[0]!);
	return {
		...result,
		rmsC,
		rateFactor,
		m: best.kinetics.m,
		potLifeLowS: result.potLifeS * Math.exp(-BAND_80 * sd),
		potLifeHighS: result.potLifeS * Math.exp(BAND_80 * sd),
		converged,
		working: [
			{
				what: 'This batch against its sheet',
				sum: `${readings.length} reading${readings.length === 1 ? '' : 's'}, ${digits(rmsC, 1)} °C off on average`,
				result: `× ${digits(rateFactor)}`,
				source: `least squares; before any reading ± ${digits(PRIOR_LN_RATE * 100, 0)} % (a default)`
			},
			...result.working
		]
	};
}

/** Standard deviation of ln(pot life) by the delta method on the fit's curvature. */
function spreadOfLnPotLife(
	input: ParsedCupInput,
	model: CureModel,
	p: Params,
	normal: readonly (readonly number[])[],
	inflate: number,
	potLifeS: number
): number {
	const gradient = p.map((_, j) => {
		const h = 1e-3;
		const moved = fitted(
			model,
			p.map((x, k) => (k === j ? x + h : x))
		);
		const life = potLifeOf(input, moved);
		return (Math.log(life) - Math.log(potLifeS)) / h;
	});
	const solved = solveNormal(normal, gradient);
	return (
		inflate *
		Math.sqrt(
			Math.max(
				0,
				gradient.reduce((sum, g, i) => sum + g * solved[i]!, 0)
			)
		)
	);
}

function potLifeOf(input: ParsedCupInput, model: CureModel): number {
	const { potLifeS } = runCup(input, model);
	if (!(potLifeS > 0)) throw new InputError(['readings'], 'These readings lead out of range: check them.');
	return potLifeS;
}
