import { arrhenius, conversionFactor, type Kinetics } from './kinetics';
import { mobility } from './glass';

/**
 * Reaction alone in each place for a time, its heat kept there; midpoint rule. Conversions, temperatures and what is
 * left of the inhibitor (1…0) move on in place.
 * @param riseK how far all of the reaction warms the place, K; nothing where its temperature is given
 * @param mostC the adiabatic limit, °C: a place that was warmed ahead of a front narrower than a cell waits there
 * @returns the fastest rate met, 1/s
 */
export function react(
	kinetics: Kinetics,
	temp: Float64Array,
	conversion: Float64Array,
	inhibitor: Float64Array,
	timeS: number,
	riseK = kinetics.riseK,
	mostC = Infinity
): number {
	const { k23PerS, m, n, activationJPerMol, inductionPerS, glass } = kinetics;
	const free = (a: number, t: number) => (glass ? mobility(glass, a, t) : 1);
	let fastest = 0;
	for (let i = 0; i < conversion.length; i++) {
		let left = timeS;
		const factor = arrhenius(activationJPerMol, temp[i]!);
		if (inhibitor[i]! > 0) {
			const usedPerS = inductionPerS * factor;
			const neededS = inhibitor[i]! / usedPerS;
			inhibitor[i] = neededS > left ? inhibitor[i]! - left * usedPerS : 0;
			left = Math.max(0, left - neededS);
			// near the end of the induction short steps find its moment
			fastest = Math.max(fastest, usedPerS * 0.1);
			if (left === 0) continue;
		}
		const a0 = conversion[i]!;
		const rate0 = k23PerS * factor * conversionFactor(m, n, a0) * free(a0, temp[i]!);
		const mid = a0 + (rate0 * left) / 2;
		const midC = temp[i]! + riseK * (mid - a0);
		const rate = k23PerS * arrhenius(activationJPerMol, midC) * conversionFactor(m, n, mid) * free(mid, midC);
		const roomK = Math.max(0, mostC - temp[i]!);
		const gain = Math.min(rate * left, 1 - a0, riseK > 0 ? roomK / riseK : Infinity);
		conversion[i] = a0 + gain;
		temp[i] = temp[i]! + riseK * gain;
		if (rate > fastest) fastest = rate;
	}
	return fastest;
}
