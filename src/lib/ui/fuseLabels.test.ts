import fc from 'fast-check';
import { expect, it } from 'vitest';
import { crossings, holdsWords, placeLabels } from './fuseLabels';

it('words that have room stand on one line over their step', () => {
	const placed = placeLabels(
		[
			{ text: 'pour', at: 0.2 },
			{ text: 'close', at: 0.8 }
		],
		600
	);
	expect(placed.map((p) => p.row)).toEqual([0, 0]);
	expect(placed[0]!.leftPx + placed[0]!.widthPx / 2).toBeCloseTo(120, 6);
});
it('no label covers another, none leaves the bar, whatever the steps and the screen', () => {
	fc.assert(
		fc.property(
			fc.array(fc.tuple(fc.integer({ min: 1, max: 24 }), fc.double({ min: 0, max: 1, noNaN: true })), {
				maxLength: 9
			}),
			fc.integer({ min: 220, max: 1400 }),
			(steps, barPx) => {
				const placed = placeLabels(
					steps.map(([n, at]) => ({ text: 'x'.repeat(n), at })).sort((a, b) => a.at - b.at),
					barPx
				);
				for (const [i, a] of placed.entries()) {
					expect(a.leftPx).toBeGreaterThanOrEqual(0);
					expect(a.leftPx + a.widthPx).toBeLessThanOrEqual(barPx + 1e-9);
					for (const b of placed.slice(i + 1))
						if (a.row === b.row)
							expect(a.leftPx + a.widthPx <= b.leftPx || b.leftPx + b.widthPx <= a.leftPx).toBe(true);
				}
			}
		)
	);
});
it('a leader goes past the words of the steps under it, in the middle and at either end', () => {
	for (const shift of [0, 0.35, 0.78]) {
		const placed = placeLabels(
			[
				{ text: 'Fill the halves 0:20', at: shift + 0.05 },
				{ text: 'Close 0:25', at: shift + 0.1 },
				{ text: 'Into the pot 0:20', at: shift + 0.15 }
			],
			780
		);
		expect(crossings(placed, 780), `at ${shift}`).toBe(0);
		expect(new Set(placed.map((p) => p.row)).size).toBeGreaterThan(1);
	}
});
it('a block holds its words when they fit with their edges', () => {
	expect(holdsWords(40, 'close it')).toBe(false);
	expect(holdsWords(90, 'close it')).toBe(true);
});
