import type { CureModel } from './model';
import { cupSetup, type ParsedCupInput } from './cup';
import { integrateCup } from './cupModel';

/** A gun thermometer's scatter from reading to reading, and how far it is off as a whole, °C (common practice, no source). */
export const READING_ERROR_C = 0.8;
const OFFSET_C = 1.5;
/** How far a batch may be from its sheet before any reading: one standard deviation of ln(speed). */
export const PRIOR_LN_RATE = 0.25;

/** What the readings say of a batch, if it is of one character. */
export interface CharacterFit {
	model: CureModel;
	/** ln of its speed against the model that was asked with, and the thermometer's own error, °C. */
	lnSpeed: number;
	offsetC: number;
	/** Standard deviation of ln(speed) that the readings leave, the thermometer's error counted. */
	sdLnSpeed: number;
	/** Root of the mean square difference to the readings, °C. */
	rmsC: number;
	/** How badly it fits, prior counted: −2·ln of its likelihood, less a constant that all characters share. */
	cost: number;
	converged: boolean;
}

interface TempReading {
	timeS: number;
	tempC: number;
}

/** The model of a batch so many times as fast. */
export function faster(model: CureModel, lnSpeed: number): CureModel {
	const speed = Math.exp(lnSpeed);
	return {
		...model,
		speed: model.speed * speed,
		kinetics: {
			...model.kinetics,
			k23PerS: model.kinetics.k23PerS * speed,
			inductionPerS: model.kinetics.inductionPerS * speed
		}
	};
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

const ROUNDS = 40;
const HALVINGS = 12;
const STEP = 1e-4;
/** The farthest that one round moves ln(speed). */
const MOST_MOVE = 1;

/**
 * Speed of a batch and offset of its thermometer by least squares with both priors (Gauss–Newton with step halving).
 * The offset is linear: for each speed the best one is worked out in closed form.
 * @param readings sorted by time, at least one
 */
export function fitCharacter(
	input: ParsedCupInput,
	model: CureModel,
	readings: readonly TempReading[]
): CharacterFit {
	const timesS = readings.map((r) => r.timeS);
	const weight = 1 / READING_ERROR_C ** 2;
	// the spread of the mean difference, the thermometer's own error in it
	const offsetShare = (weight * timesS.length) / (weight * timesS.length + 1 / OFFSET_C ** 2);
	const at = (lnSpeed: number) => {
		const temps = temperaturesAt(input, faster(model, lnSpeed), timesS);
		const off = temps.map((t, i) => readings[i]!.tempC - t);
		const offsetC = (offsetShare * off.reduce((s, x) => s + x, 0)) / off.length;
		const cost =
			off.reduce((s, x) => s + (x - offsetC) ** 2, 0) * weight +
			(offsetC / OFFSET_C) ** 2 +
			(lnSpeed / PRIOR_LN_RATE) ** 2;
		return { temps, off, offsetC, cost };
	};
	let lnSpeed = 0;
	let here = at(0);
	let information = 0;
	let converged = false;
	for (let round = 0; round < ROUNDS && !converged; round++) {
		const moved = at(lnSpeed + STEP).temps;
		const slopes = moved.map((t, i) => (t - here.temps[i]!) / STEP);
		const mean = (offsetShare * slopes.reduce((s, x) => s + x, 0)) / slopes.length;
		// with the offset worked out, a slope that all readings share says less of the speed
		information =
			weight * slopes.reduce((s, x) => s + (x - mean) ** 2, 0) +
			(mean / OFFSET_C) ** 2 +
			1 / PRIOR_LN_RATE ** 2;
		const gradient =
			weight * slopes.reduce((s, x, i) => s + (x - mean) * (here.off[i]! - here.offsetC), 0) +
			(mean * here.offsetC) / OFFSET_C ** 2 -
			lnSpeed / PRIOR_LN_RATE ** 2;
		let move = Math.max(-MOST_MOVE, Math.min(MOST_MOVE, gradient / information));
		let next = at(lnSpeed + move);
		for (let halving = 0; halving < HALVINGS && next.cost > here.cost; halving++) {
			move /= 2;
			next = at(lnSpeed + move);
		}
		converged = here.cost - next.cost < 1e-7 * (1 + here.cost);
		if (next.cost <= here.cost) {
			lnSpeed += move;
			here = next;
		}
	}
	const rmsC = Math.sqrt(here.off.reduce((s, x) => s + x * x, 0) / here.off.length);
	const scatterC = Math.sqrt(here.off.reduce((s, x) => s + (x - here.offsetC) ** 2, 0) / here.off.length);
	return {
		model: faster(model, lnSpeed),
		lnSpeed,
		offsetC: here.offsetC,
		// readings that scatter more than a thermometer does say less
		sdLnSpeed: Math.max(1, scatterC / READING_ERROR_C) / Math.sqrt(information),
		rmsC,
		cost: here.cost,
		converged
	};
}
