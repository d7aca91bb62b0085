import { describe, expect, it } from 'vitest';
import {
	displacement,
	displacementInput,
	solidInput,
	solidSkinMm2,
	solidVolumeMl,
	waterDensityGPerMl
} from '.';

describe('water (CRC Handbook of Chemistry and Physics, density of water; Kell 1975)', () => {
	it.each([
		[0, 0.99984],
		[4, 0.99997],
		[10, 0.9997],
		[20, 0.99821],
		[25, 0.99705],
		[30, 0.99565],
		[40, 0.99222],
		[60, 0.9832],
		[80, 0.97179],
		[100, 0.95835]
	])('at %d °C', (tempC, crc) => {
		expect(waterDensityGPerMl(tempC)).toBeCloseTo(crc, 4);
	});

	it('is refused where water is no liquid', () => {
		expect(() => waterDensityGPerMl(-1)).toThrow(/waterDensityGPerMl/);
		expect(() => waterDensityGPerMl(NaN)).toThrow(RangeError);
	});
});

describe('volume of a part', () => {
	it('spilled grams are divided by the density of that water', () => {
		expect(displacement({ overflowMassG: 84.8, waterTempC: 20 }).volumeMl).toBeCloseTo(84.8 / 0.99821, 2);
	});

	it.each([
		[{ overflowMassG: 0, waterTempC: 20 }, /more than nothing/],
		[{ overflowMassG: -3, waterTempC: 20 }, /more than nothing/],
		[{ overflowMassG: 3, waterTempC: 120 }, /steam/],
		[{ overflowMassG: 'three', waterTempC: 20 }, /Weigh the spilled water/]
	])('%j is refused with a sentence', (input, message) => {
		const result = displacementInput.safeParse(input);
		expect(result.success).toBe(false);
		expect(result.error!.issues[0]!.message).toMatch(message);
	});

	// Archimedes, On the Sphere and Cylinder I.34: cone : ball : cylinder of the same width and height is 1 : 2 : 3
	it('cone, ball and cylinder stand as one to two to three', () => {
		const cone = solidVolumeMl({ shape: 'cone', diameterMm: 50, heightMm: 50 });
		const ball = solidVolumeMl({ shape: 'ball', diameterMm: 50 });
		const tube = solidVolumeMl({ shape: 'tube', diameterMm: 50, heightMm: 50 });
		expect(ball / cone).toBeCloseTo(2, 12);
		expect(tube / cone).toBeCloseTo(3, 12);
	});

	it('a litre is a decimetre cubed', () => {
		expect(solidVolumeMl({ shape: 'box', lengthMm: 100, widthMm: 100, heightMm: 100 })).toBe(1000);
	});

	it('a solid without a size is refused', () => {
		expect(solidInput.safeParse({ shape: 'ball' }).success).toBe(false);
		expect(solidInput.safeParse({ shape: 'ball', diameterMm: 0 }).success).toBe(false);
		expect(solidInput.safeParse({ shape: 'knot', diameterMm: 5 }).success).toBe(false);
	});
});

describe('skin of a plain solid without its foot', () => {
	it.each([
		[{ shape: 'box', lengthMm: 10, widthMm: 20, heightMm: 30 }, 200 + 2 * 30 * 30],
		[{ shape: 'tube', diameterMm: 20, heightMm: 50 }, Math.PI * 20 * 50 + Math.PI * 100],
		[{ shape: 'cone', diameterMm: 60, heightMm: 40 }, Math.PI * 30 * 50],
		[{ shape: 'ball', diameterMm: 10 }, Math.PI * 100],
		[{ shape: 'half ball', diameterMm: 10 }, Math.PI * 50],
		[{ shape: 'pyramid', lengthMm: 6, widthMm: 6, heightMm: 4 }, 2 * 6 * 5]
	] as const)('%j (by hand)', (solid, mm2) => {
		expect(solidSkinMm2(solid)).toBeCloseTo(mm2, 6);
	});
	it('a frustum runs from its cone to its tube', () => {
		const frustum = (topDiameterMm: number) =>
			solidSkinMm2({ shape: 'frustum', diameterMm: 60, topDiameterMm, heightMm: 40 });
		expect(frustum(1e-9)).toBeCloseTo(solidSkinMm2({ shape: 'cone', diameterMm: 60, heightMm: 40 }), 3);
		expect(frustum(60)).toBeCloseTo(solidSkinMm2({ shape: 'tube', diameterMm: 60, heightMm: 40 }), 6);
	});
	it('is what the volume grows by when a ball swells (derivative of its volume)', () => {
		const d = 50;
		const grown =
			solidVolumeMl({ shape: 'ball', diameterMm: d + 0.02 }) -
			solidVolumeMl({ shape: 'ball', diameterMm: d });
		expect((grown * 1000) / 0.01).toBeCloseTo(solidSkinMm2({ shape: 'ball', diameterMm: d }), -1);
	});
});
