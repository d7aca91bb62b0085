import { expect, it } from 'vitest';
import { textInUnits } from './textInUnits';

const us = (text: string) => textInUnits(text, 'us').replace(/\u202f/g, ' ');

it('quantities of a sentence are said in the units that are shown (25.4 mm to an inch, 28.3495 g to an ounce)', () => {
	expect(us('Leave 25.4 mm or more.')).toBe('Leave 1 in or more.');
	expect(us('A mould of 70 × 50 mm.')).toBe('A mould of 2.76 in × 1.97 in.');
	expect(us('From 6 to 12 mm of wall.')).toBe('From 0.236 in to 0.472 in of wall.');
	expect(us('283.495 g do not fill it.')).toBe('10 oz do not fill it.');
	expect(us('It softens at 100 °C, not at −5 °C.')).toBe('It softens at 212 °F, not at 23 °F.');
	expect(us('29.5735 ml stay.')).toBe('1 fl oz stay.');
});
it('a difference of temperatures is one', () => {
	expect(us('The resin 5 °C cooler.')).toBe('The resin 9 °F cooler.');
	expect(us('mould face 3 °C over the dew point')).toBe('mould face 5.4 °F over the dew point');
	expect(us('Within 3 °C of the dew point (10 °C).')).toBe('Within 5.4 °F of the dew point (50 °F).');
	expect(us('The curve is 2 °C off.')).toBe('The curve is 3.6 °F off.');
});
it('what stands in both systems keeps its own inches; words, other units and metric are left alone', () => {
	expect(us('Leave 12 mm (½ in) or more.')).toBe('Leave ½ in or more.');
	for (const text of [
		'Under 5 s, 30 % and 4 h.',
		'M12 is worn.',
		'Shore A is 0–100.',
		'Over 10 kPa·s it is 12 mPa·s.'
	])
		expect(us(text)).toBe(text);
	expect(textInUnits('12 mm', 'metric')).toBe('12 mm');
});
