import { expect, it } from 'vitest';
import { flowEnergyKjPerMol, viscosityAt } from '.';

// water, CRC Handbook of Chemistry and Physics: 20 °C 1.002, 25 °C 0.890, 30 °C 0.798 mPa·s
const water = [
	{ tempC: 20, viscosityMpaS: 1.002 },
	{ tempC: 30, viscosityMpaS: 0.798 }
];

it('goes through both of the sheet’s points and between them as the handbook says', () => {
	expect(viscosityAt(water, 20)).toBeCloseTo(1.002, 9);
	expect(viscosityAt(water, 30)).toBeCloseTo(0.798, 9);
	expect(viscosityAt(water, 25)).toBeCloseTo(0.89, 2);
});

it('the flow energy of water by hand: 8.314·ln(1.002/0.798)/(1/293.15 − 1/303.15) = 16.8 kJ/mol', () => {
	expect(flowEnergyKjPerMol(water)).toBeCloseTo(16.82, 1);
});

it('one point keeps the default, thickening with warmth is not a positive energy', () => {
	expect(viscosityAt([{ tempC: 23, viscosityMpaS: 100 }], 23)).toBe(100);
	expect(viscosityAt([{ tempC: 23, viscosityMpaS: 100 }], 33)).toBeLessThan(65);
	expect(
		flowEnergyKjPerMol([
			{ tempC: 20, viscosityMpaS: 1 },
			{ tempC: 30, viscosityMpaS: 2 }
		])
	).toBeLessThan(0);
	expect(() => viscosityAt([], 20)).toThrow();
});
