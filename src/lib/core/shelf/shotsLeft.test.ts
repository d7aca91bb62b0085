import { describe, expect, it } from 'vitest';
import { DEMO_RESINS } from '../../server/seed/materials';
import { isCatalysed, mixable, resinRecord, shotsLeft } from '.';

const ratioed = resinRecord.parse({ ...DEMO_RESINS[0]!, weightA: 100, weightB: 90, volumeA: 1, volumeB: 1 });
const catalysed = resinRecord.parse(DEMO_RESINS.find((r) => isCatalysed(r.family))!);

describe('shots that the tins still give, by hand sums', () => {
	it('the side that runs out first decides', () => {
		// 95 g at 100:90 are 50 g of A and 45 g of B
		expect(shotsLeft(ratioed, 95, { a: 190, b: 90 })).toBe(2);
		expect(shotsLeft(ratioed, 95, { a: 149, b: 900 })).toBe(2);
		expect(shotsLeft(ratioed, 95, { a: 150, b: 900 })).toBe(3);
		expect(shotsLeft(ratioed, 95, { a: 49, b: 900 })).toBe(0);
	});

	it('a resin that says only a ratio by volume is weighed by its densities', () => {
		const byVolume = resinRecord.parse({
			...DEMO_RESINS[0]!,
			weightA: undefined,
			weightB: undefined,
			volumeA: 1,
			volumeB: 1,
			densityAGPerMl: 1.1,
			densityBGPerMl: 1
		});
		// 21 g are 11 g of A and 10 g of B
		expect(shotsLeft(byVolume, 21, { a: 110, b: 1000 })).toBe(10);
		expect(shotsLeft(byVolume, 21, { a: 1000, b: 100 })).toBe(10);
	});

	it('a catalysed resin takes its catalyst by its share of the resin', () => {
		const percent = mixable(catalysed).catalyst!.percent;
		const shotG = 100 + percent; // 100 g of resin and its catalyst
		expect(shotsLeft(catalysed, shotG, { a: 250 })).toBe(2);
		expect(shotsLeft(catalysed, shotG, { a: 2500, b: 3.5 * percent })).toBe(3);
	});

	it('a side without a tin is not asked for; without any there is no answer', () => {
		expect(shotsLeft(ratioed, 95, { a: 500 })).toBe(10);
		expect(shotsLeft(ratioed, 95, { b: 450 })).toBe(10);
		expect(shotsLeft(ratioed, 95, {})).toBeUndefined();
		expect(shotsLeft(ratioed, 0, { a: 500 })).toBeUndefined();
	});

	it('what was taken in bites still counts as whole', () => {
		let leftG = 500;
		for (let i = 0; i < 10; i++) leftG -= 5 * 0.1;
		expect(shotsLeft(ratioed, (leftG / 3) * 1.9, { a: leftG })).toBe(3);
	});
});
