/** Times that people round to, s. */
const STEPS = [1, 5, 10, 30, 60, 300, 600, 1800, 3600, 6 * 3600, 86_400] as const;

/**
 * The ends of a band rounded to what it is sure of: to about a fifth of its width, the low end down and the high end
 * up, so that it never looks surer than it is.
 * @example roundedBand(119.6, 188.2) // [110, 190]
 */
export function roundedBand(lowS: number, highS: number): [number, number] {
	const fifth = (highS - lowS) / 5;
	const step = [...STEPS].reverse().find((s) => s <= fifth) ?? STEPS[0];
	return [Math.floor(lowS / step + 1e-9) * step, Math.ceil(highS / step - 1e-9) * step];
}
