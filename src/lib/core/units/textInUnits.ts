import { digits, formatQuantity } from './formatQuantity';
import type { QuantityKind, UnitSystem } from './quantity';

const KINDS: Readonly<Record<string, QuantityKind>> = {
	mm: 'length',
	'cm²': 'area',
	ml: 'volume',
	g: 'mass',
	'°C': 'temperature',
	kPa: 'pressure',
	'g/ml': 'density'
};
/** Canonical units in one of the written ones: a square centimetre is a hundred square millimetres. */
const IN_CANONICAL: Readonly<Record<string, number>> = { 'cm²': 100 };
const UNIT = Object.keys(KINDS)
	.sort((a, b) => b.length - a.length)
	.map((u) => u.replace('/', '\\/'))
	.join('|');
const NUMBER = '[−-]?\\d+(?:\\.\\d+)?';
const QUANTITY = new RegExp(
	`(?<![\\w.])(${NUMBER}(?:\\s?(?:×|–|to|or|and)\\s?${NUMBER})*)[ \\u202f](${UNIT})(?![\\w²/·])( (?:cooler|warmer|more|less|higher|lower|hotter|colder|off|over the dew point|of the dew point))?`,
	'g'
);
const NUMBERS = new RegExp(NUMBER, 'g');
const valueOf = (text: string) => Number(text.replace('−', '-'));

/**
 * A sentence of the core, whose quantities are metric, with them in the units that are shown: `12 mm`, `6 to 12 mm`,
 * `70 × 50 mm`. A difference of temperatures is one. Where both systems stand side by side already, its own words stay.
 * @example
 * textInUnits('Leave 25.4 mm over it.', 'us'); // 'Leave 1\u202fin over it.'
 */
export function textInUnits(text: string, system: UnitSystem): string {
	if (system === 'metric') return text;
	return text
		.replace(/[\d.]+[ \u202f]mm \(([^)]*\bin)\)/g, '$1')
		.replace(QUANTITY, (_, numbers: string, unit: string, apart: string | undefined) => {
			if (unit === '°C' && apart)
				return `${numbers.replace(NUMBERS, (n) => digits(valueOf(n) * 1.8))}\u202f°F${apart}`;
			const kind = KINDS[unit]!;
			const each = numbers.replace(NUMBERS, (n) =>
				formatQuantity(valueOf(n) * (IN_CANONICAL[unit] ?? 1), kind, system)
			);
			return each;
		});
}
