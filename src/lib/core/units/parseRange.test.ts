import { describe, expect, it } from 'vitest';
import { parseQuantity, parseRange } from '.';

const of = (text: string, kind: Parameters<typeof parseRange>[1], system: 'metric' | 'us' = 'metric') => {
	const r = parseRange(text, kind, system);
	return r && [r.low, r.high].map((v) => Math.round(v * 100) / 100);
};

describe('ranges as sheets print them', () => {
	it.each([
		['2–3 min', 'time', [120, 180]],
		['2-3 min', 'time', [120, 180]],
		['3 to 4 h', 'time', [10_800, 14_400]],
		['90 s – 2 min', 'time', [90, 120]],
		['2:00–2:30', 'time', [120, 150]],
		['70–75 F', 'temperature', [21.11, 23.89]],
		['1.5 - 2 %', 'percent', [1.5, 2]]
	] as const)('%s', (text, kind, ends) => {
		expect(of(text, kind)).toEqual(ends);
	});
	it.each([
		['2:30', 'time'],
		['3–2 min', 'time'],
		['2-3/8 in', 'length'],
		['-5 C', 'temperature'],
		['two–three', 'time'],
		['2–3 g', 'time'],
		['–', 'time'],
		['1–2–3 min', 'time'],
		[`${'9'.repeat(40)}–${'9'.repeat(40)}`, 'time']
	] as const)('%s is none', (text, kind) => {
		expect(parseRange(text, kind, 'metric')).toBeUndefined();
	});
	it('what is a fraction stays one', () => {
		expect(parseQuantity('2-3/8 in', 'length', 'metric')).toMatchObject({ ok: true });
	});
});
