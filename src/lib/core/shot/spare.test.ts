import fc from 'fast-check';
import { expect, it } from 'vitest';
import { rankSpares, usuallyLeftMl } from './spare';

const mould = (number: number, volumeMl: number) => ({ id: String(number), number, label: '', volumeMl });

it('the largest that it fills comes first, then the nearest that it does not', () => {
	const ranked = rankSpares(30, [mould(1, 10), mould(2, 28), mould(3, 90), mould(4, 35)]);
	expect(ranked.map((m) => m.number)).toEqual([2, 1, 4, 3]);
	expect(ranked.map((m) => m.missingMl)).toEqual([0, 0, 5, 60]);
});

it('no mould is lost, and none that fits stands behind one that does not', () => {
	fc.assert(
		fc.property(
			fc.double({ min: 0, max: 500, noNaN: true }),
			fc.array(fc.double({ min: 0.1, max: 500, noNaN: true }), { maxLength: 30 }),
			(leftMl, volumes) => {
				const ranked = rankSpares(
					leftMl,
					volumes.map((v, i) => mould(i, v))
				);
				expect(ranked).toHaveLength(volumes.length);
				const firstShort = ranked.findIndex((m) => m.missingMl > 0);
				if (firstShort >= 0) expect(ranked.slice(firstShort).every((m) => m.missingMl > 0)).toBe(true);
			}
		)
	);
});

it('a tenth of the cup is what spare moulds are made ready for (a default of ours)', () => {
	expect(usuallyLeftMl(240)).toBeCloseTo(24, 9);
	expect(usuallyLeftMl(0)).toBe(0);
	// so a mould of 20 ml is filled by it, one of 30 ml wants 6 ml more
	expect(rankSpares(usuallyLeftMl(240), [mould(1, 30), mould(2, 20)]).map((m) => m.missingMl)).toEqual([
		0,
		expect.closeTo(6, 9)
	]);
});
