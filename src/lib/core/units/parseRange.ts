import { MAX_QUANTITY_TEXT, parseQuantity } from './parseQuantity';
import type { QuantityKind, UnitSystem } from './quantity';

/** A range as a sheet prints it, canonical. */
export interface QuantityRange {
	low: number;
	high: number;
	/** Half way between its ends. */
	middle: number;
	unit: string;
}

/** Two ends with "to", a dash, or a hyphen that stands between digits and begins no fraction. */
const ENDS = /^(.*?\d[^–—]*?)\s*(?:–|—|\bto\b|(?<=\d\s?)-(?!\d+ ?\/))\s*(\d.*)$/i;

/**
 * Reads "2–3 min", "3 to 4 h" or "70-75 F": the unit of the second end is that of the first, where that has none.
 * Nothing for what is no range: a single quantity, a fraction such as 2-3/8 in, ends the wrong way round.
 * @example parseRange('2–3 min', 'time', 'metric')?.middle // 150
 */
export function parseRange(
	text: string,
	kind: QuantityKind,
	system: UnitSystem,
	remembered?: string
): QuantityRange | undefined {
	if (text.length > MAX_QUANTITY_TEXT) return undefined;
	const ends = ENDS.exec(text.trim().replace(/\s+/g, ' '));
	if (!ends) return undefined;
	const [, first, second] = ends;
	const high = parseQuantity(second!, kind, system, remembered);
	if (!high.ok) return undefined;
	const own = /[^\d\s.,:/+-]/.test(first!);
	const unit = /[^\d\s.,:/+-].*$/.exec(second!)?.[0] ?? '';
	const low = parseQuantity(own || !unit ? first! : `${first} ${unit}`, kind, system, remembered);
	if (!low.ok || !(low.value < high.value)) return undefined;
	return { low: low.value, high: high.value, middle: (low.value + high.value) / 2, unit: high.unit };
}
