import { expect, it } from 'vitest';
import {
	countdown,
	counted,
	lateness,
	longDay,
	lowerFirst,
	secondTime,
	setClockHours,
	shortTime,
	wallTime,
	dayName
} from './clockText';

// local time of the machine throughout: that is what a wall clock shows
const at = (year: number, month: number, day: number, hour = 0, minute = 0) =>
	new Date(year, month - 1, day, hour, minute).getTime();
const now = at(2026, 3, 14, 16, 30);

it('today needs no day, another day is named', () => {
	expect(wallTime(at(2026, 3, 14, 9, 5), now)).toBe('09:05');
	// by the calendar of 2026: 1 December is a Tuesday, 29 February 2028 too
	expect([at(2026, 12, 1, 23, 59), at(2028, 2, 29, 0, 0)].map(dayName)).toEqual(['Tue 1 Dec', 'Tue 29 Feb']);
	expect(wallTime(at(2026, 3, 13, 23, 59), now)).toMatch(/^Fri,? 13 Mar, 23:59$/);
	expect(wallTime(at(2026, 3, 15, 0, 0), now)).toMatch(/^Sun,? 15 Mar, 00:00$/);
});

it('a workshop with a clock of twelve hours reads it so', () => {
	setClockHours('12');
	try {
		expect(wallTime(at(2026, 3, 14, 9, 5), now)).toMatch(/^9:05\sAM$/);
		expect(wallTime(at(2026, 3, 14, 0, 30), now)).toMatch(/^12:30\sAM$/);
		expect(shortTime(at(2026, 1, 2, 19, 0), now)).toMatch(/^2 Jan 7:00\sPM$/);
	} finally {
		setClockHours('24');
	}
});

// the Unicode Consortium's locale data, as the runtime bears it: the same words as they are by hand
it('every day and hour is written as the locale writes it', () => {
	const plain = (text: string) => text.replace(/,/g, '').replace(/\s/g, ' ');
	const [day, short] = [
		{ day: 'numeric', month: 'short' },
		{ hour: 'numeric', minute: '2-digit' }
	] as const;
	for (let n = 0; n < 400; n++) {
		const ms = at(2026, 1, 1) + n * 86_400_000 + n * 3_700_000;
		const date = new Date(ms);
		const gb = (o: Intl.DateTimeFormatOptions) => date.toLocaleString('en-GB', o);
		const time = gb({ hour: '2-digit', minute: '2-digit' });
		expect(plain(wallTime(ms, 0))).toBe(plain(`${gb({ ...day, weekday: 'short' })} ${time}`));
		expect(plain(secondTime(ms + n * 1000))).toBe(
			new Date(ms + n * 1000).toLocaleString('en-GB', {
				hour: '2-digit',
				minute: '2-digit',
				second: '2-digit'
			})
		);
		expect(plain(shortTime(ms, 0))).toBe(plain(`${gb({ ...day, year: 'numeric' })} ${time}`));
		setClockHours('12');
		expect(plain(wallTime(ms, ms))).toBe(plain(date.toLocaleString('en-US', { ...short, hour12: true })));
		expect(plain(secondTime(ms))).toBe(
			plain(date.toLocaleString('en-US', { ...short, second: '2-digit', hour12: true }))
		);
		setClockHours('24');
	}
});

it('a column has the year only where it is another one', () => {
	expect(shortTime(at(2026, 1, 2, 7, 0), now)).toBe('2 Jan 07:00');
	expect(shortTime(at(2025, 12, 31, 23, 1), now)).toBe('31 Dec 2025 23:01');
	expect(longDay(at(2027, 2, 2))).toBe('2 Feb 2027');
});

it.each([
	[0, '0:00'],
	[0.2, '0:01'],
	[59.001, '1:00'],
	[125, '2:05'],
	[3849, '1:04:09'],
	[172_799, '47:59:59'],
	[172_800, '2 d 0 h'],
	[-428_410, '+4 d 23 h'],
	[-0.4, '+0:00'],
	[-30, '+0:30'],
	[-3601, '+1:00:01']
])('%d s left is %s: it reaches nothing when it is nothing, and counts on', (leftS, words) => {
	expect(countdown(leftS)).toBe(words);
});

it('one is one, and a title goes on inside a sentence', () => {
	expect([0, 1, 2].map((n) => counted(n, 'pull'))).toEqual(['0 pulls', '1 pull', '2 pulls']);
	expect(lowerFirst('Measure A')).toBe('measure A');
	expect(lowerFirst('')).toBe('');
});

it('three minutes late is not what twenty-five are', () => {
	expect([12, 0, -180, -599, -600, -1500].map(lateness)).toEqual([
		undefined,
		'due',
		'due',
		'due',
		'long',
		'long'
	]);
});
