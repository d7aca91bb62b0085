import { MASS_G } from './factors';
import { formatQuantity } from './formatQuantity';
import type { UnitSystem } from './quantity';

const THIN = '\u202f';
/** From here on grams are said as kilograms, and ounces as pounds. */
const LARGE_G = 10_000;

/** Fewer steps of the scale than this, and it is the wrong scale. */
const FINER_STEPS = 10;

/** Decimals that a step can tell apart: 1 → 0, 0.5 → 1, 0.05 → 2. */
const decimalsOf = (step: number) => Math.max(0, Math.ceil(-Math.log10(step) - 1e-9));

/**
 * A mass that is to be weighed, in the step of the scale that weighs it: page, bench, card and sum say the same. What is
 * under ten steps is said as finely as it was worked out: pigment and catalyst go on a finer scale, or are counted.
 * @param massG g; not finite gives an en dash.
 * @param system grams, or ounces with as many decimals as the scale's step is worth.
 * @param stepG the scale's smallest step, g, over 0.
 * @throws RangeError when the step is not over 0.
 * @example
 * formatWeighed(57.7, 'metric', 1); // '58\u202fg'
 */
export function formatWeighed(massG: number, system: UnitSystem, stepG: number): string {
	if (!(stepG > 0)) throw new RangeError(`formatWeighed: the scale's step must be over 0 g, got ${stepG}.`);
	if (!Number.isFinite(massG) || Math.abs(massG) < FINER_STEPS * stepG)
		return formatQuantity(massG, 'mass', system);
	// ounces are not rounded to grams first: a scale that is switched to them has steps of its own
	const gramsShown = system === 'us' ? massG : Math.round(massG / stepG) * stepG;
	const said = (unitG: number, unit: string) =>
		`${(gramsShown / unitG).toFixed(decimalsOf(stepG / unitG))}${THIN}${unit}`;
	if (system === 'us') return Math.abs(massG) < LARGE_G ? said(MASS_G.oz, 'oz') : said(MASS_G.lb, 'lb');
	return Math.abs(massG) < LARGE_G ? said(1, 'g') : said(1000, 'kg');
}

/**
 * A whole as the sum of its parts as each is weighed, g: 70.6 g of A and 68.7 g of B are poured as 71 g and 69 g, so
 * that 140 g lie in the cup. What the parts leave out of the whole (drops, what is not weighed) is added as it is.
 * @param wholeG all of it, g.
 * @param partsG what is weighed one by one, g.
 * @param stepG the scale's smallest step, g, over 0.
 * @throws RangeError when the step is not over 0.
 * @example
 * weighedTogether(139.3, [70.6, 68.7], 1); // 140
 */
export function weighedTogether(wholeG: number, partsG: readonly number[], stepG: number): number {
	if (!(stepG > 0)) throw new RangeError(`weighedTogether: the scale's step must be over 0 g, got ${stepG}.`);
	const inSteps = (g: number) => (g < FINER_STEPS * stepG ? g : Math.round(g / stepG) * stepG);
	return partsG.reduce((sum, g) => sum + inSteps(g) - g, wholeG);
}
