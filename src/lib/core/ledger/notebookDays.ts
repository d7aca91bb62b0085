import { momentOf } from '../wallClock';

/** Which of the first two numbers of 03/04/2026 is the day. */
export const SLASH_ORDERS = ['day-first', 'month-first'] as const;
export type SlashOrder = (typeof SLASH_ORDERS)[number];

const CLOCK = '(?: +(\\d{1,2}):(\\d{2})(?::\\d{2})?(?: *([ap])\\.?m\\.?)?)?';
const SLASHED = new RegExp(`^(\\d{1,2})/(\\d{1,2})/(\\d{4})${CLOCK}$`, 'i');
const DOTTED = new RegExp(`^(\\d{1,2})\\.(\\d{1,2})\\.(\\d{4})${CLOCK}$`, 'i');
const ISO = /^(\d{4})-(\d{1,2})-(\d{1,2})(?:[T ]+(\d{1,2}):(\d{2})(?::\d{2}(?:\.\d+)?)?(Z)?)?$/;

/** The first two numbers of those that are written with slashes. */
const pairsOf = (days: readonly string[]) =>
	days.flatMap((text) => {
		const read = SLASHED.exec(text.trim());
		return read ? [[Number(read[1]), Number(read[2])] as const] : [];
	});

/**
 * What the days of a column say themselves: a number over twelve is no month. Nothing where none of them says it, or where
 * they contradict each other.
 * @example
 * slashOrderOf(['03/04/2026', '03/31/2026']); // 'month-first'
 */
export function slashOrderOf(days: readonly string[]): SlashOrder | undefined {
	const pairs = pairsOf(days);
	const dayFirst = pairs.some(([first]) => first > 12);
	const monthFirst = pairs.some(([, second]) => second > 12);
	if (dayFirst === monthFirst) return undefined;
	return dayFirst ? 'day-first' : 'month-first';
}

/**
 * The first day of a column that is another one if its numbers are read the other way round.
 * @example
 * twoDays(['2026-03-01', '3/3/2026', '03/04/2026']); // '03/04/2026'
 */
export const twoDays = (days: readonly string[]): string | undefined =>
	days.find((text) => pairsOf([text]).some(([a, b]) => a <= 12 && b <= 12 && a !== b));

/**
 * A day, with a time or not: 2026-03-01, 2026-03-01 14:20, 1.3.2026, 01/03/2026 2:20 pm. By the clock of a zone; noon where
 * no time is given. Nothing for anything else, and for days that are not.
 * @example
 * new Date(parseDay('2026-03-01')!).toISOString(); // '2026-03-01T12:00:00.000Z'
 */
export function parseDay(text: string, slashes: SlashOrder = 'day-first', zone = 'UTC'): number | undefined {
	const iso = ISO.exec(text.trim());
	const read = iso ?? DOTTED.exec(text.trim()) ?? SLASHED.exec(text.trim());
	if (!read) return undefined;
	const [, first, second, third] = read.map(Number) as [number, number, number, number];
	const [y, mo, d] = iso
		? [first, second, third]
		: text.includes('/') && slashes === 'month-first'
			? [third, first, second]
			: [third, second, first];
	const half = iso ? undefined : read[6]?.toLowerCase();
	const said = Number(read[4] ?? 12);
	if (half && !(said >= 1 && said <= 12)) return undefined;
	const h = half ? (said % 12) + (half === 'p' ? 12 : 0) : said;
	const mi = Number(read[5] ?? 0);
	const wall = Date.UTC(y, mo - 1, d, h, mi);
	const back = new Date(wall);
	if (!(back.getUTCDate() === d && back.getUTCMonth() === mo - 1 && h < 24 && mi < 60)) return undefined;
	return zone === 'UTC' || (iso && iso[6]) ? wall : momentOf(wall, zone);
}
