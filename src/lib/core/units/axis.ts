import { fahrenheitFromCelsius, MASS_G, PRESSURE_KPA } from './factors';
import type { UnitSystem } from './quantity';

/** What is drawn on an axis; its numbers come as °C, kPa, g, J. */
export type AxisKind = 'temperature' | 'pressure' | 'mass' | 'energy';

/**
 * The unit of an axis in the workshop's system. Energy has one unit in both.
 * @example
 * axisUnit('temperature', 'us'); // '°F'
 */
export function axisUnit(kind: AxisKind, system: UnitSystem): string {
	if (kind === 'energy') return 'kJ';
	const [metric, us] = { temperature: ['°C', '°F'], pressure: ['kPa', 'psi'], mass: ['g', 'oz'] }[kind] as [
		string,
		string
	];
	return system === 'us' ? us : metric;
}

/**
 * A number on that axis, in the unit that `axisUnit` names.
 * @example
 * onAxis(20, 'temperature', 'us'); // 68
 */
export function onAxis(value: number, kind: AxisKind, system: UnitSystem): number {
	if (kind === 'energy') return value / 1000;
	if (system !== 'us') return value;
	if (kind === 'temperature') return fahrenheitFromCelsius(value);
	return value / (kind === 'pressure' ? PRESSURE_KPA.psi : MASS_G.oz);
}
