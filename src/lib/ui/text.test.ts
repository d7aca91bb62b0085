import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { KINDS, parseQuantity, type QuantityKind } from '../core/units';
import { counted, countdown, shortTime, wallTime } from './clockText';
import { newId } from './newId';
import { rememberedUnit, textForEdit, textInForce } from './quantityText';

describe('clocks', () => {
	it.each([
		[0, '0:00'],
		[0.4, '0:01'],
		[59.2, '1:00'],
		[125, '2:05'],
		[3849, '1:04:09'],
		[-1, '+0:01'],
		[-30.9, '+0:30'],
		[-3700, '+1:01:40']
	])('%d s is %s', (leftS, text) => {
		expect(countdown(leftS)).toBe(text);
	});

	it('the wall clock names the day only when it is another one', () => {
		const now = new Date(2026, 10, 23, 14, 5).getTime();
		expect(wallTime(now, now)).toBe('14:05');
		expect(wallTime(now + 86_400_000, now)).toBe('Tue 24 Nov, 14:05');
		expect(shortTime(now, now)).toBe('23 Nov 14:05');
		expect(shortTime(new Date(2025, 0, 2, 9, 0).getTime(), now)).toBe('2 Jan 2025 09:00');
	});

	it('one is one', () => {
		expect([0, 1, 2].map((n) => counted(n, 'pull'))).toEqual(['0 pulls', '1 pull', '2 pulls']);
	});
});

describe('fields', () => {
	it.each([
		[60, 'length', 'metric', '60 mm'],
		[60.325, 'length', 'us', '2 3/8 in'],
		[150, 'time', 'metric', '2:30'],
		[900, 'time', 'metric', '15 min'],
		[14_400, 'time', 'metric', '4 h'],
		[45, 'time', 'metric', '45 s'],
		[23, 'temperature', 'us', '73.4 F'],
		[23, 'temperature', 'metric', '23 C'],
		[1404, 'volume', 'metric', '1404 ml'],
		[18_000, 'volume', 'metric', '18 l'],
		[22_750, 'volume', 'metric', '22.75 l'],
		[3, 'number', 'metric', '3'],
		[NaN, 'mass', 'metric', ''],
		[undefined, 'mass', 'metric', '']
	] as const)('%s %s in %s is shown for editing as %j', (value, kind, system, text) => {
		expect(textForEdit(value, kind, system)).toBe(text);
	});

	it.each([
		[41.1797, 'length', '41.18 mm'],
		[1.055, 'density', '1.055 g/ml'],
		[812.3456, 'mass', '812.3 g'],
		[57_600, 'time', '16 h'],
		[NaN, 'mass', ''],
		[undefined, 'mass', '']
	] as const)('%s %s that an empty field goes by is greyed in it as %j', (value, kind, text) => {
		expect(textInForce(value, kind, 'metric')).toBe(text);
	});

	it('what a field shows for editing reads back as what it was', () => {
		const kinds = fc.constantFrom<QuantityKind>(
			'length',
			'mass',
			'volume',
			'temperature',
			'density',
			'viscosity',
			'flow',
			'pressure',
			'percent',
			'number'
		);
		fc.assert(
			fc.property(fc.double({ min: 0.05, max: 900, noNaN: true }), kinds, (small, kind) => {
				// pots and cups
				const value = kind === 'volume' ? small * 100 : small;
				const reading = parseQuantity(textForEdit(value, kind, 'metric'), kind);
				expect(reading.ok).toBe(true);
				expect(Math.abs((reading.ok ? reading.value : 0) / value - 1)).toBeLessThan(1e-3);
			})
		);
	});

	it('times survive editing to the second', () => {
		fc.assert(
			fc.property(fc.integer({ min: 1, max: 200_000 }), (seconds) => {
				const reading = parseQuantity(textForEdit(seconds, 'time', 'metric'), 'time');
				expect(reading.ok && Math.abs(reading.value - seconds)).toBeLessThanOrEqual(0.5 + seconds * 1e-5);
			})
		);
	});

	it('a remembered unit needs a browser, and every kind has an example that it understands', () => {
		expect(rememberedUnit('x', 'length')).toBeUndefined();
		for (const [kind, info] of Object.entries(KINDS)) {
			for (const example of info.example.split(/, | or /)) {
				expect(
					parseQuantity(example.replace('(fluid)', '').trim(), kind as QuantityKind),
					`${kind}: ${example}`
				).toMatchObject({ ok: true });
			}
		}
	});
});

it('ids are version-4 UUIDs (RFC 9562) and unlike', () => {
	const ids = Array.from({ length: 500 }, newId);
	for (const id of ids)
		expect(id).toMatch(/^[0-9a-f]{8}-[0-9a-f]{4}-4[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/);
	expect(new Set(ids).size).toBe(500);
});
