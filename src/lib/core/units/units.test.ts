import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
	axisUnit,
	celsiusFromFahrenheit,
	densityFromSpecificVolume,
	formatDrops,
	fahrenheitFromCelsius,
	formatQuantity,
	formatTime,
	KINDS,
	AREA_MM2,
	LENGTH_MM,
	MASS_G,
	onAxis,
	parseQuantity,
	PRESSURE_KPA,
	SPELLINGS,
	VOLUME_ML,
	type QuantityKind
} from '.';

describe('factors (NIST SP 811, 2008, appendix B)', () => {
	const exact: [string, number, number][] = [
		['inch in mm', LENGTH_MM.in, 25.4],
		['foot in mm', LENGTH_MM.ft, 304.8],
		['square inch in mm²', AREA_MM2.in2, 645.16],
		['square foot in mm²', AREA_MM2.ft2, 92_903.04],
		['pound in g', MASS_G.lb, 453.59237],
		['ounce in g', MASS_G.oz, 28.349523125],
		['US gallon in ml', VOLUME_ML.gal, 3785.411784],
		['US fluid ounce in ml', VOLUME_ML.floz, 29.5735295625],
		['imperial fluid ounce in ml', VOLUME_ML.impfloz, 28.4130625],
		['cubic inch in ml', VOLUME_ML.in3, 16.387064],
		['psi in kPa', PRESSURE_KPA.psi, 6.894757293168],
		['atmosphere in kPa', PRESSURE_KPA.atm, 101.325]
	];
	it.each(exact)('%s', (_name, ours, nist) => {
		expect(ours).toBeCloseTo(nist, 9);
	});

	it('temperatures meet at −40 and at the boiling point', () => {
		expect(celsiusFromFahrenheit(-40)).toBe(-40);
		expect(fahrenheitFromCelsius(100)).toBe(212);
	});

	it('25 in³/lb is 1.1072 g/ml (common practice, no source)', () => {
		expect(densityFromSpecificVolume(25)).toBeCloseTo(1.1072, 4);
	});

	it('a specific volume of nothing is refused by name', () => {
		expect(() => densityFromSpecificVolume(0)).toThrow(/densityFromSpecificVolume/);
		expect(() => densityFromSpecificVolume(NaN)).toThrow(RangeError);
	});

	it('every spelling names a unit of some kind', () => {
		const units = new Set(Object.values(KINDS).flatMap((k) => Object.keys(k.factors)));
		for (const id of Object.values(SPELLINGS)) expect(units).toContain(id);
	});
});

describe('reading what people type', () => {
	it.each(['10 in2', '10 in²', '64.516 cm²', '10 sq.in', '6451.6 mm2'])('an area: %s', (text) => {
		const reading = parseQuantity(text, 'area', 'metric');
		expect(reading.ok && reading.value).toBeCloseTo(6451.6, 6);
	});

	const cases: [string, QuantityKind, number][] = [
		['2 3/8 in', 'length', 60.325],
		['2-3/8"', 'length', 60.325],
		['2⅜″', 'length', 60.325],
		['60 mm', 'length', 60],
		['60', 'length', 60],
		['6,5 cm', 'length', 65],
		['1 ft 2 in', 'length', 355.6],
		['1\' 2 1/2"', 'length', 368.3],
		['3 oz', 'mass', 85.048569375],
		['1 lb 2 oz', 'mass', 510.29141625],
		['1.2 kg', 'mass', 1200],
		['.5 g', 'mass', 0.5],
		['3 oz', 'volume', 88.7205886875],
		['3 fl oz', 'volume', 88.7205886875],
		['3 fl. oz.', 'volume', 88.7205886875],
		['10 imp fl oz', 'volume', 284.130625],
		['25 in3', 'volume', 409.6766],
		['25 cu in', 'volume', 409.6766],
		['2 1/2 gal', 'volume', 9463.52946],
		['0.1 l', 'volume', 100],
		['95 F', 'temperature', 35],
		['95°F', 'temperature', 35],
		['23 C', 'temperature', 23],
		['-5', 'temperature', -5],
		['296.15 K', 'temperature', 23],
		['2:30', 'time', 150],
		['1:02:03', 'time', 3723],
		['2', 'time', 120],
		['45 s', 'time', 45],
		['1 h 20 min', 'time', 4800],
		['1h20min', 'time', 4800],
		['40 psi', 'pressure', 275.79029172672],
		['2.8 bar', 'pressure', 280],
		['25 in3/lb', 'density', 1.1072],
		['1,05 g/ml', 'density', 1.05],
		['1050 kg/m3', 'density', 1.05],
		['150 cps', 'viscosity', 150],
		['12 Pa·s', 'viscosity', 12_000],
		['150 mPa·s', 'viscosity', 150],
		['150 mPas', 'viscosity', 150],
		['4 cfm', 'flow', 113.267386368],
		['10 %', 'percent', 10],
		['1/2', 'number', 0.5]
	];
	it.each(cases)('%j as %s', (text, kind, value) => {
		const reading = parseQuantity(text, kind);
		expect(reading).toMatchObject({ ok: true });
		expect(reading.ok && reading.value).toBeCloseTo(value, 4);
	});

	it('a bare number takes the unit system, or the unit that the field remembers', () => {
		expect(parseQuantity('2', 'length', 'us')).toMatchObject({ value: 50.8, bare: true });
		expect(parseQuantity('2', 'length', 'metric', 'cm')).toMatchObject({ value: 20 });
	});

	const refused: [string, QuantityKind, RegExp][] = [
		['', 'length', /Type a length/],
		['abc', 'length', /not understood/],
		['🦀', 'length', /not understood/],
		['12 bananas', 'mass', /not a unit/],
		['3 fl oz', 'mass', /volume and this field wants a weight/],
		['3 lb', 'length', /"lb" is a weight and this field wants a length/],
		['1,200 g', 'mass', /1200 or 1\.200/],
		['3/0 in', 'length', /divides by zero/],
		['2 oz 1 lb', 'mass', /larger unit first/],
		['1 lb 2', 'mass', /its unit/],
		['20 C 30 C', 'temperature', /more than one number/],
		['1e999', 'length', /not/],
		['9'.repeat(400), 'length', /400 characters/],
		['-', 'number', /not understood/],
		['<script>', 'mass', /not understood/]
	];
	it.each(refused)('%j for %s is refused with a sentence', (text, kind, message) => {
		const reading = parseQuantity(text, kind);
		expect(reading.ok).toBe(false);
		expect(!reading.ok && reading.errors[0].message).toMatch(message);
		expect(!reading.ok && reading.errors[0].message).toMatch(/[.]$/);
	});

	it('ten megabytes of text cost nothing', () => {
		expect(parseQuantity('1'.repeat(10_000_000), 'mass').ok).toBe(false);
	});

	it('never throws and never gives a number that is not one', () => {
		const kinds = fc.constantFrom(...(Object.keys(KINDS) as QuantityKind[]));
		fc.assert(
			fc.property(fc.string({ maxLength: 70, unit: 'binary' }), kinds, (text, kind) => {
				const reading = parseQuantity(text, kind);
				expect(reading.ok ? Number.isFinite(reading.value) : reading.errors[0].message.length > 0).toBe(true);
			})
		);
	});
});

describe('showing values', () => {
	const plain = (text: string) => text.replace(/\u202f/g, ' ');
	it.each([
		[60.325, 'length', 'us', '2 3/8 in'],
		[60.325, 'length', 'metric', '60.3 mm'],
		[6451.6, 'area', 'us', '10 in²'],
		[42_000, 'area', 'metric', '420 cm²'],
		[453.59237, 'mass', 'us', '1 lb'],
		[85.0485, 'mass', 'us', '3 oz'],
		[12_500, 'mass', 'metric', '12.5 kg'],
		[88.72, 'volume', 'us', '3 fl oz'],
		[275.79, 'pressure', 'us', '40 psi'],
		[23, 'temperature', 'us', '73 °F'],
		[16.69, 'temperature', 'metric', '16.7 °C'],
		[NaN, 'mass', 'metric', '–']
	] as const)('%d %s in %s', (value, kind, system, text) => {
		expect(plain(formatQuantity(value, kind, system))).toBe(text);
	});

	it.each([
		[45, '45 s'],
		[150, '2:30 min'],
		[2400, '40 min'],
		[4800, '1 h 20 min'],
		[187_200, '2 d 4 h'],
		[-20, '−20 s']
	])('%d s is %s', (seconds, text) => {
		expect(formatTime(seconds)).toBe(text);
	});

	it('what is shown reads back as the same amount, to the digits shown', () => {
		const kinds = fc.constantFrom<QuantityKind>('length', 'mass', 'volume', 'pressure');
		const systems = fc.constantFrom('metric' as const, 'us' as const);
		fc.assert(
			fc.property(fc.double({ min: 5, max: 5000, noNaN: true }), kinds, systems, (value, kind, system) => {
				const reading = parseQuantity(formatQuantity(value, kind, system), kind, system);
				expect(reading.ok).toBe(true);
				expect(Math.abs((reading.ok ? reading.value : 0) / value - 1)).toBeLessThan(0.02);
			})
		);
	});
});

it('drops are whole, and one is one', () => {
	expect([0, 0.6, 1.4, 2, 12.5].map((n) => formatDrops(n))).toEqual([
		'0 drops',
		'1 drop',
		'1 drop',
		'2 drops',
		'13 drops'
	]);
	expect(formatDrops(18, 30)).toBe('18 to 30 drops');
	expect(formatDrops(18, 18)).toBe('18 drops');
});

it.each([
	// NIST SP 811: 0 °C is 32 °F, 1 psi is 6.894757 kPa, 1 oz is 28.349523 g
	['temperature', 100, 212, '°F', '°C'],
	['pressure', 6.894757, 1, 'psi', 'kPa'],
	['mass', 28.349523, 1, 'oz', 'g']
] as const)('an axis of %s in both systems', (kind, value, us, usUnit, metricUnit) => {
	expect(onAxis(value, kind, 'us')).toBeCloseTo(us, 6);
	expect(onAxis(value, kind, 'metric')).toBe(value);
	expect([axisUnit(kind, 'us'), axisUnit(kind, 'metric')]).toEqual([usUnit, metricUnit]);
});
it('energy is drawn in kilojoules in both', () => {
	expect(onAxis(11_900, 'energy', 'us')).toBeCloseTo(11.9, 12);
	expect(axisUnit('energy', 'us')).toBe('kJ');
});
