import { formatQuantity, type UnitSystem } from '../units';

/**
 * What was left of a pour, or short, in words.
 * @param massG below nothing: short
 * @example
 * leftWords(0, 'metric'); // 'Nothing was left, and nothing was short'
 */
export function leftWords(massG: number, units: UnitSystem): string {
	if (massG === 0) return 'Nothing was left, and nothing was short';
	return `${formatQuantity(Math.abs(massG), 'mass', units)} were ${massG > 0 ? 'left' : 'short'}`;
}
