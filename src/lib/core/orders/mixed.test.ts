import { expect, it } from 'vitest';
import { shotMassG } from '../bench';
import { planOf } from '../bench/plan.testing';
import { mixedOf } from './mixed';
import { pullRecipe } from './recipe';

type Layer = NonNullable<Parameters<typeof mixedOf>[0]['layers']>[number];
const layer = (aG: number, more: Partial<Layer> = {}) =>
	({ a: { massG: aG, volumeMl: aG }, b: { massG: aG / 2, volumeMl: aG / 2 }, ...more }) as Layer;

it('one cup: its parts, its catalyst, its fillers and what is dusted on', () => {
	const plan = planOf({
		fillers: [{ name: 'Silver', massG: 90, volumeMl: 33 }],
		dust: { name: 'Silver', massG: 10 },
		catalyst: { massG: 2, volumeMl: 2, drops: 40 }
	});
	expect(mixedOf(plan)).toEqual({ aG: 60, bG: 54, catalystG: 2, fillers: [{ name: 'Silver', massG: 100 }] });
});

it('layers: the thickener of each counts, and all together weigh what the shot weighs', () => {
	const fibre = (massG: number) => ({ fillers: [{ name: 'Fibre', massG, volumeMl: massG }] });
	const layers = [layer(40), layer(20, fibre(3)), layer(20, fibre(4))];
	// of a layered plan the parts are those of all layers, the mass that of its first cup
	const plan = planOf({ a: { massG: 80, volumeMl: 80 }, b: { massG: 40, volumeMl: 40 }, massG: 60, layers });
	const { aG, bG, catalystG, fillers } = mixedOf(plan);
	expect(fillers).toEqual([{ name: 'Fibre', massG: 7 }]);
	expect(aG + bG + catalystG + 7).toBe(shotMassG(plan));
});

it('what it takes of the shelf is named as the shelf names it; water is not bought', () => {
	const named = (over: Parameters<typeof planOf>[0]) =>
		pullRecipe(planOf(over), 0, null).takes.map((t) => t.name);
	expect(named({})).toEqual(['White A', 'White B']);
	const one = { b: { massG: 0, volumeMl: 0 }, catalyst: { massG: 2, volumeMl: 2, drops: 40 } };
	expect(named(one)).toEqual(['White', 'catalyst for White']);
	const water = [{ name: 'Water', massG: 30, volumeMl: 30 }];
	expect(named({ ...one, fillers: water, waterExtended: true })).toEqual(['White', 'catalyst for White']);
	expect(named({ fillers: water })).toContain('Water');
});
