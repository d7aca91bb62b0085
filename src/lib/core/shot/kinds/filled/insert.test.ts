import { expect, it } from 'vitest';
import { insertInput, type Insert } from './insert';
import { INSERT_MATERIALS } from './materials';
import { settleInsert } from './settleInsert';

const insert = (part: Partial<Insert>): Insert => ({ name: 'wire', massG: NaN, volumeMl: NaN, ...part });

it('a steel wire of 2 mm weighs 24.7 g a metre (tables of round bar, 0.0247 kg/m)', () => {
	const wire = settleInsert(insert({ by: 'rod', material: 'steel', diameterMm: 2, lengthMm: 1000 }));
	expect(wire.massG).toBeCloseTo(24.66, 1);
	expect(insertInput.safeParse(wire).success).toBe(true);
});
it('a lead ball of half an inch weighs about 199 grains (tables of round balls: 0.490 in is 177, as the cube of the size)', () => {
	const ball = settleInsert(insert({ by: 'ball', material: 'lead', diameterMm: 12.7 }));
	const grains = ball.massG / 0.06479891;
	expect(Math.abs(grains - 177 * (0.5 / 0.49) ** 3)).toBeLessThan(4);
});
it('by its weight every material takes the room that its density says', () => {
	expect(INSERT_MATERIALS.length).toBeGreaterThan(5);
	for (const material of INSERT_MATERIALS) {
		const { massG, volumeMl } = settleInsert(insert({ by: 'weight', material, massG: 100 }));
		const rod = settleInsert(insert({ by: 'rod', material, diameterMm: 10, lengthMm: 10 }));
		expect(massG / volumeMl).toBeCloseTo(rod.massG / rod.volumeMl, 9);
	}
});
it('what is not typed yet is asked for, never taken as nothing', () => {
	for (const part of [
		{ by: 'weight', material: 'steel' },
		{ by: 'weight', massG: 5 },
		{ by: 'rod', material: 'steel', diameterMm: 2 },
		{ by: 'ball', material: 'lead', diameterMm: -1 }
	] as const)
		expect(insertInput.safeParse(settleInsert(insert(part))).success).toBe(false);
	const own = insert({ by: 'both', massG: 5, volumeMl: 2 });
	expect(settleInsert(own)).toBe(own);
});
