import type { MarkCup } from './markCup';

/**
 * What a tapered cup holds up to a height, ml: a frustum, π·h/12·(d₀² + d₀·d + d²).
 * @param heightMm over its floor
 * @example
 * cupVolumeMl({ floorMm: 60, rimMm: 60, heightMm: 80 }, 80); // 226.195
 */
export function cupVolumeMl(cup: Pick<MarkCup, 'floorMm' | 'rimMm' | 'heightMm'>, heightMm: number): number {
	const d = cup.floorMm + ((cup.rimMm - cup.floorMm) * heightMm) / cup.heightMm;
	return (Math.PI * heightMm * (cup.floorMm ** 2 + cup.floorMm * d + d ** 2)) / 12_000;
}

/**
 * How high so much stands in a cup, mm over its floor; nothing when it does not go in.
 * @example
 * markInCup({ floorMm: 60, rimMm: 60, heightMm: 80 }, 100); // 35.368
 */
export function markInCup(
	cup: Pick<MarkCup, 'floorMm' | 'rimMm' | 'heightMm'>,
	volumeMl: number
): number | undefined {
	if (volumeMl > cupVolumeMl(cup, cup.heightMm) * (1 + 1e-9)) return undefined;
	const taper = (cup.rimMm - cup.floorMm) / cup.heightMm;
	if (Math.abs(taper) < 1e-9) return (volumeMl * 4000) / (Math.PI * cup.floorMm ** 2);
	return (Math.cbrt(cup.floorMm ** 3 + (12_000 * taper * volumeMl) / Math.PI) - cup.floorMm) / taper;
}
