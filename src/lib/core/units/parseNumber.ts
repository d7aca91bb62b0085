import { refusal, type Outcome } from '../outcome';

const VULGAR: Readonly<Record<string, string>> = {
	'¼': '1/4',
	'½': '1/2',
	'¾': '3/4',
	'⅓': '1/3',
	'⅔': '2/3',
	'⅛': '1/8',
	'⅜': '3/8',
	'⅝': '5/8',
	'⅞': '7/8'
};

/** Rewrites one-sign fractions and typographic marks as plain text: `2⅜″` becomes `2 3/8"`. */
export function plainText(text: string): string {
	return text
		.replace(/[¼½¾⅓⅔⅛⅜⅝⅞]/g, (sign) => ` ${VULGAR[sign]}`)
		.replace(/[″”“]/g, '"')
		.replace(/[′’‘]/g, "'")
		.replace(/[−–]/g, '-')
		.replace(/³/g, '3')
		.replace(/²/g, '2')
		.replace(/\s+/g, ' ')
		.trim();
}

/**
 * Reads `12`, `1.5`, `1,5`, `.5`, `3/8` or `2 3/8`.
 * A comma before exactly three digits could mean thousands or a decimal, so it is refused, not guessed.
 * @example
 * parseNumber('2 3/8'); // { ok: true, value: 2.375 }
 */
export function parseNumber(text: string): Outcome<number> {
	const t = plainText(text);
	if (/^[-+]?\d{1,3},\d{3}$/.test(t)) {
		const plain = t.replace(',', '');
		return refusal(`"${t}" can be read two ways: write ${plain} or ${t.replace(',', '.')}.`);
	}
	const decimal = t.replace(',', '.');
	if (/^[-+]?(\d+\.?\d*|\.\d+)$/.test(decimal)) return { ok: true, value: Number(decimal) };
	const mixed = /^([-+]?)(?:(\d+)[ -])?(\d+) ?\/ ?(\d+)$/.exec(t);
	if (mixed) {
		const [, sign, whole = '0', top, bottom] = mixed;
		if (Number(bottom) === 0) return refusal(`"${t}" divides by zero: check the fraction.`);
		const value = Number(whole) + Number(top) / Number(bottom);
		return { ok: true, value: sign === '-' ? -value : value };
	}
	return refusal('');
}
