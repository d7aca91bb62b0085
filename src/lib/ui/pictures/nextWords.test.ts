import { expect, it } from 'vitest';
import { coverage, WANTED } from '$lib/core/photo';
import { nextWords } from './nextWords';

it('leads round the mat until all of it is covered, and never asks for a side twice', () => {
	const taken: { roundDeg: number; upDeg: number; height: 'low' | 'middle' | 'high' }[] = [];
	const upDeg = { low: 18, middle: 40, high: 65 } as const;
	const said: string[] = [];
	for (;;) {
		const now = coverage(taken);
		said.push(nextWords(now, taken.length));
		if (!now.next) break;
		taken.push({ ...now.next, upDeg: upDeg[now.next.height] });
		expect(taken.length).toBeLessThan(60);
	}
	expect(said[0]).toBe('Take the first picture from wherever you stand, with the whole mat in it.');
	expect(said[1]).toMatch(/^Next: low, as if along the table, from the .* of the mat\.$/);
	expect(said.some((s) => s.startsWith('Next: from high above'))).toBe(true);
	expect(said.at(-2)).toMatch(/^Nearly there\. Next: /);
	expect(said.at(-1)).toMatch(/work out the body/);
	expect(taken.length).toBeGreaterThanOrEqual(Object.values(WANTED).reduce((a, b) => a + b, 0));
	expect(taken.length).toBeLessThan(24);
});
