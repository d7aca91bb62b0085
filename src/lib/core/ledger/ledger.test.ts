import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
	correction,
	IMPORT_SAMPLE,
	matchColumns,
	parseDay,
	readNotebook,
	slashOrderOf,
	safeCell,
	type ImportField
} from '.';

const about = { moulds: new Set([3, 7]), nowMs: Date.UTC(2026, 10, 25), units: 'metric' as const };
const heads = ['Date', 'Mould', 'Result', 'Resin', 'Weight', 'RH', 'Faults', 'Notes'];
const columns = matchColumns(heads);
const read = (...rows: string[][]) => readNotebook({ rows, columns }, about);
const good = ['2026-03-01', 'M7', 'good', 'White', '4 oz', '45 %', '', 'first of the day'];

describe('columns', () => {
	it('are matched by their headings, each once', () => {
		expect(columns).toEqual({
			when: 0,
			mould: 1,
			grade: 2,
			resin: 3,
			massG: 4,
			relativeHumidity: 5,
			faults: 6,
			note: 7
		});
		const used = Object.values(matchColumns(['m', 'mould', 'M', 'date']));
		expect(new Set(used).size).toBe(used.length);
		expect(matchColumns(['humidity (%)', 'shot_g'])).toMatchObject({ relativeHumidity: 0, massG: 1 });
	});
	it('the sample that is shown is read as it stands', () => {
		const [first, ...rows] = IMPORT_SAMPLE.map((row) => [...row]);
		const { errors, pulls } = readNotebook(
			{ rows, columns: matchColumns(first!) },
			{ ...about, moulds: new Set([2]) }
		);
		expect(errors).toEqual([]);
		expect(pulls.map((p) => [p.mouldNumber, p.grade, Math.round(p.massG), p.relativeHumidity])).toEqual([
			[2, 'good', 118, 41],
			[2, 'scrap', 119, 63]
		]);
		expect(pulls[1]!.faults).toEqual(['foam']);
		expect(pulls.map((p) => new Date(p.atMs).toISOString().slice(0, 10))).toEqual([
			'2026-03-30',
			'2026-03-31'
		]);
	});
	it('a needed column that is nobody’s is said before any row', () => {
		const { errors, pulls } = readNotebook({ rows: [good], columns: { when: 0 } }, about);
		expect(pulls).toEqual([]);
		expect(errors.map((e) => e.field)).toEqual(['mould', 'grade', 'resin']);
	});
});

describe('rows', () => {
	it('a good row is a pull in our units: 4 oz is 113.4 g (NIST SP 811)', () => {
		const { pulls, errors } = read(good);
		expect(errors).toEqual([]);
		expect(pulls[0]).toMatchObject({ mouldNumber: 7, grade: 'good', copies: 1, relativeHumidity: 45 });
		expect(pulls[0]!.massG).toBeCloseTo(4 * 28.349523125, 6);
	});
	it('every problem of every row is said, with its row and column', () => {
		const { errors } = read(
			good,
			['31.2.2026', 'M9', 'splendid', '', 'heavy', '140 %', 'moths', ''],
			['1.3.2027', 'x', 'scrap', 'White', '', '', 'foam; flash', '']
		);
		const at = (row: number) => errors.filter((e) => e.row === row).map((e) => e.field);
		expect(at(2)).toEqual([]);
		expect(at(3).sort()).toEqual(
			(['when', 'mould', 'grade', 'resin', 'massG', 'relativeHumidity', 'faults'] as ImportField[]).sort()
		);
		expect(at(4)).toEqual(['when', 'mould']);
	});
	it('days: by year, by day, with and without time; none that is not', () => {
		expect(parseDay('2026-03-01')).toBe(Date.UTC(2026, 2, 1, 12));
		expect(parseDay('1.3.2026')).toBe(Date.UTC(2026, 2, 1, 12));
		expect(parseDay('01/03/2026 14:20')).toBe(Date.UTC(2026, 2, 1, 14, 20));
		expect(parseDay('2026-03-01T08:05:00Z')).toBe(Date.UTC(2026, 2, 1, 8, 5));
		for (const no of ['', 'yesterday', '2026-02-30', '32.1.2026', '2026-01-01 25:00', '3/4/26'])
			expect(parseDay(no)).toBeUndefined();
	});
	it('a day with slashes: which number is the month is what its column says, else what is said of it, and never guessed', () => {
		expect(slashOrderOf(['03/04/2026', '31/3/2026'])).toBe('day-first');
		expect(slashOrderOf(['03/04/2026', '3/31/2026 2:20 PM'])).toBe('month-first');
		expect(slashOrderOf(['03/04/2026', '31/3/2026', '3/31/2026'])).toBeUndefined();
		const dated = (...days: string[]) => days.map((day) => [day, ...good.slice(1)]);
		const on = (input: Parameters<typeof readNotebook>[0]) =>
			readNotebook(input, about).pulls.map((p) => new Date(p.atMs).toISOString().slice(0, 10));
		const rows = dated('2026-03-01', '03/04/2026');
		expect(readNotebook({ rows, columns }, about).errors).toMatchObject([{ row: 3, field: 'when' }]);
		expect(on({ rows, columns, slashes: 'day-first' })).toEqual(['2026-03-01', '2026-04-03']);
		expect(on({ rows, columns, slashes: 'month-first' })).toEqual(['2026-03-01', '2026-03-04']);
		expect(on({ rows: dated('03/04/2026', '3/31/2026'), columns })).toEqual(['2026-03-04', '2026-03-31']);
		// the same day either way, and days that are written otherwise, ask for nothing
		expect(on({ rows: dated('3/3/2026', '1.4.2026'), columns })).toEqual(['2026-03-03', '2026-04-01']);
		// what does not fit the rest is wrong, and not turned round
		expect(
			readNotebook({ rows: dated('03/31/2026'), columns, slashes: 'day-first' }, about).errors
		).toMatchObject([{ row: 2, field: 'when' }]);
	});
	it('a time of day is meant by the clock of its workshop (IANA time zones; summer time of Directive 2000/84/EC)', () => {
		const at = (text: string, zone?: string) => new Date(parseDay(text, 'month-first', zone)!).toISOString();
		expect(at('3/31/2026 12:05 am')).toBe('2026-03-31T00:05:00.000Z');
		expect(at('3/31/2026 2:20 PM', 'Europe/Berlin')).toBe('2026-03-31T12:20:00.000Z');
		expect(at('2026-01-31', 'Pacific/Auckland')).toBe('2026-01-30T23:00:00.000Z');
		expect(at('2026-03-01T08:05:00Z', 'Pacific/Auckland')).toBe('2026-03-01T08:05:00.000Z');
		expect(parseDay('3/31/2026 13:05 pm', 'month-first')).toBeUndefined();
	});
	it('never throws, whatever stands in the cells', () => {
		fc.assert(
			fc.property(
				fc.array(fc.array(fc.string(), { maxLength: 9 }), { minLength: 1, maxLength: 5 }),
				(rows) => {
					const { pulls, errors } = readNotebook({ rows, columns }, about);
					expect(pulls.length + new Set(errors.map((e) => e.row)).size).toBe(rows.length);
				}
			)
		);
	});
});

describe('cells for a spreadsheet', () => {
	it('run nothing (CSV injection, OWASP), and leave numbers and words alone', () => {
		expect(safeCell('=HYPERLINK("x")')).toBe(`'=HYPERLINK("x")`);
		expect(safeCell('@cmd')).toBe(`'@cmd`);
		for (const text of ['＝1+1', '＋1', '－1', '＠x', '  =1+1', '\r=1'])
			expect(safeCell(text)).toBe(`'${text}`);
		expect(safeCell('50 = half')).toBe('50 = half');
		expect(safeCell(-3.5)).toBe(-3.5);
		expect(safeCell('Ammonite')).toBe('Ammonite');
		expect(safeCell(NaN)).toBe('');
	});
});

describe('corrections', () => {
	it('want who and why, and a value that the field can have', () => {
		const said = { who: 'J', why: 'misread' };
		expect(correction.safeParse({ field: 'grade', to: 'scrap', ...said }).success).toBe(true);
		expect(correction.safeParse({ field: 'grade', to: 'splendid', ...said }).success).toBe(false);
		expect(correction.safeParse({ field: 'massG', to: -1, ...said }).success).toBe(false);
		expect(correction.safeParse({ field: 'note', to: '', who: '', why: 'x' }).success).toBe(false);
		expect(correction.safeParse({ field: 'id', to: 'x', ...said }).success).toBe(false);
	});
});
