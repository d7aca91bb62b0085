import { refusal, type Refusal } from '../outcome';
import { celsiusFromFahrenheit, densityFromSpecificVolume } from './factors';
import { parseNumber, plainText } from './parseNumber';
import { KINDS, SPELLINGS, type QuantityKind, type UnitSystem } from './quantity';

/** What a quantity field made of the text: the canonical value and the unit typed, or a sentence. */
export type QuantityReading = { ok: true; value: number; unit: string; bare: boolean } | Refusal;

/** Text longer than this is not a quantity; it is refused before any pattern runs over it. */
export const MAX_QUANTITY_TEXT = 60;

const PART =
	/([-+]?[\d.,]+(?:[ -]\d+ ?\/ ?\d+| ?\/ ?\d+)?) ?([^\d\s.,+-][^\d\s]*(?:3|(?<=[cm]m|[\d ]m|[\d ]in|ft)2)?(?:\/[a-z]+3?)?)?/giy;

function wants(kind: QuantityKind): string {
	return `Type ${KINDS[kind].noun} such as ${KINDS[kind].example}.`;
}

/** `oz` means what the field asks for: weight in a weight field, fluid in a volume field. */
function unitId(spelling: string, kind: QuantityKind): string | undefined {
	const id = SPELLINGS[spelling.toLowerCase().replace(/[.\s·]/g, '')];
	if (id === 'oz' && kind === 'volume') return 'floz';
	return id;
}

function wrongKind(spelling: string, kind: QuantityKind): string {
	const id = SPELLINGS[spelling.toLowerCase().replace(/[.\s·]/g, '')];
	if (id === undefined) {
		return `"${spelling}" is not a unit known here. ${wants(kind)}`;
	}
	if (kind === 'mass' && id.endsWith('floz')) {
		return `"${spelling}" is a volume and this field wants a weight: put the cup on the scale and type grams, oz or lb.`;
	}
	const other = (Object.keys(KINDS) as QuantityKind[]).find((k) => id in KINDS[k].factors);
	const is = other ? KINDS[other].noun : 'something else';
	return `"${spelling}" is ${is} and this field wants ${KINDS[kind].noun}. ${wants(kind)}`;
}

function toCanonical(value: number, id: string, kind: QuantityKind): number {
	if (kind === 'temperature') {
		if (id === 'f') return celsiusFromFahrenheit(value);
		return id === 'k' ? value - 273.15 : value;
	}
	if (id === 'in3/lb') return value > 0 ? densityFromSpecificVolume(value) : NaN;
	return value * KINDS[kind].factors[id]!;
}

function parseClock(text: string): number | undefined {
	const clock = /^(\d{1,3}):([0-5]\d)(?::([0-5]\d))?$/.exec(text);
	if (!clock) return undefined;
	const [, first, second, third] = clock;
	if (third === undefined) return Number(first) * 60 + Number(second);
	return Number(first) * 3600 + Number(second) * 60 + Number(third);
}

interface Part {
	value: number;
	spelling: string | undefined;
}

function splitParts(text: string): Part[] | string {
	const parts: Part[] = [];
	PART.lastIndex = 0;
	let at = 0;
	while (at < text.length) {
		PART.lastIndex = at;
		const match = PART.exec(text);
		if (!match) return '';
		const reading = parseNumber(match[1]!);
		if (!reading.ok) return reading.errors[0].message;
		parts.push({ value: reading.value, spelling: match[2] });
		at = PART.lastIndex;
		while (text[at] === ' ') at++;
	}
	return parts;
}

/**
 * Reads what a maker types into a quantity field: `2 3/8 in`, `1 lb 2 oz`, `95 F`, `2:30`, `60`.
 * A bare number takes `bareUnit` when given, else the usual unit of the unit system.
 * @returns the value in the canonical unit of the kind (mm, g, ml, °C, s, kPa, g/ml, mPa·s, l/min, %),
 * or one sentence that says what to type. Never throws.
 * @example
 * parseQuantity('2 3/8 in', 'length'); // { ok: true, value: 60.325, unit: 'in', bare: false }
 */
export function parseQuantity(
	text: string,
	kind: QuantityKind,
	system: UnitSystem = 'metric',
	bareUnit?: string
): QuantityReading {
	if (text.length > MAX_QUANTITY_TEXT) {
		return refusal(`That is ${text.length.toLocaleString('en-GB')} characters long. ${wants(kind)}`);
	}
	const t = plainText(text)
		.replace(/\b(fl|fluid|us fl|imp fl|uk fl)\.? (oz|ounces?)\b\.?/gi, (m) => m.replace(/[ .]/g, ''))
		.replace(/\bcu\.? ?in\b\.?/gi, 'cuin')
		.replace(/\b(us|imp) gal/gi, '$1gal')
		.replace(/\bmPa ?[·*.]? ?s\b/gi, 'mpas')
		.replace(/\bPa ?[·*.] ?s\b/gi, 'pas')
		.replace(/° /g, '°');
	if (t === '') return refusal(wants(kind));
	if (kind === 'time') {
		const seconds = parseClock(t);
		if (seconds !== undefined) return { ok: true, value: seconds, unit: 's', bare: false };
	}
	const parts = splitParts(t.replace(/ ?\/ ?(?=[a-z])/gi, '/'));
	if (typeof parts === 'string') return refusal(parts || `"${t}" is not understood. ${wants(kind)}`);
	return addParts(parts, kind, bareUnit ?? KINDS[kind].bare[system], t);
}

function addParts(parts: Part[], kind: QuantityKind, bareUnit: string, text: string): QuantityReading {
	const summable = kind === 'length' || kind === 'mass' || kind === 'time' || kind === 'volume';
	if (parts.length > 1 && !summable) return refusal(`"${text}" holds more than one number. ${wants(kind)}`);
	let total = 0;
	let unit = bareUnit;
	let lastFactor = Infinity;
	for (const part of parts) {
		if (parts.length > 1 && part.spelling === undefined) {
			return refusal(`Give every number in "${text}" its unit.`);
		}
		const id = part.spelling === undefined ? bareUnit : unitId(part.spelling, kind);
		if (id === undefined || !(id in KINDS[kind].factors))
			return refusal(wrongKind(part.spelling ?? '', kind));
		const factor = KINDS[kind].factors[id]!;
		if (parts.length > 1 && (factor >= lastFactor || part.value < 0)) {
			return refusal(`Write the larger unit first in "${text}", such as ${KINDS[kind].example}.`);
		}
		lastFactor = factor;
		if (parts.length === 1) unit = id;
		total += toCanonical(part.value, id, kind);
	}
	if (!Number.isFinite(total)) return refusal(`"${text}" is out of range. ${wants(kind)}`);
	return { ok: true, value: total, unit, bare: parts.every((p) => p.spelling === undefined) };
}
