import type { Kinetics } from './kinetics';

/** The first step, s: short against the fastest reaction at 23 °C. */
export const firstStepS = ({ k23PerS }: Pick<Kinetics, 'k23PerS'>): number => Math.min(0.1, 0.05 / k23PerS);

/** Steps grow by so much at most, and with the time since the pour. */
const GROWTH = 1.3;
const SHARE_OF_TIME = 0.02;

/**
 * The next step, s: one in which the fastest place reacts by `stepConversion` at most, grown gently.
 * @param fineness 1 as usual; a half where everything is stepped twice as finely, to check a result
 */
export const nextStepS = (
	dtS: number,
	fastestPerS: number,
	timeS: number,
	stepConversion: number,
	fineness = 1
): number =>
	Math.min(
		stepConversion / Math.max(fastestPerS, 1e-12),
		dtS * GROWTH,
		SHARE_OF_TIME * (timeS + 5) * fineness
	);

/**
 * Strang splitting: half a step of reaction in each cell (heat stays in the cell), a full step of conduction, half a
 * step of reaction (Strang, SIAM J. Numer. Anal. 5 (1968) 506).
 * @param react reaction for a time, s; returns the fastest rate met, 1/s
 * @param conduct conduction for a time, s; returns the heat given to the air, J per unit of area
 */
export function strangStep(
	react: (timeS: number) => number,
	conduct: (timeS: number) => number,
	dtS: number
): { fastestPerS: number; lostJ: number } {
	const before = react(dtS / 2);
	const lostJ = conduct(dtS);
	return { fastestPerS: Math.max(before, react(dtS / 2)), lostJ };
}

/** When a level was crossed between two moments, s, on a straight line; the later moment where it did not rise. */
export const crossingS = (
	level: number,
	before: { timeS: number; value: number },
	now: { timeS: number; value: number }
): number =>
	now.value > before.value
		? before.timeS +
			((now.timeS - before.timeS) * Math.max(0, level - before.value)) / (now.value - before.value)
		: now.timeS;
