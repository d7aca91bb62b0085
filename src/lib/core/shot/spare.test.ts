import fc from 'fast-check';
import { expect, it } from 'vitest';
import { rankSpares } from './spare';

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
