import { expect, it } from 'vitest';
import { sizingOfCube, spheres } from '../examples.testing';
import { urethane } from '../shot/kinds/shots.testing';
import { valueOf } from '../outcome';
import { sizing } from '.';

it('a filler is paid by its own price, and the resin by its own: by hand, mass times price', () => {
	const priced = { ...spheres, pricePerKg: 46 };
	const q = {
		...sizingOfCube,
		resin: { ...sizingOfCube.resin, record: { ...urethane, pricePerKg: 20 } },
		filler: priced,
		inputs: { ...sizingOfCube.inputs, fillerId: 'f', fillerPercent: 10 }
	};
	const { shot, cost } = sizing(q);
	const { massG } = valueOf(shot)!.shot;
	const { resin, filler } = valueOf(cost!)!;
	const copies = q.inputs.copies;
	expect(filler).toBeCloseTo((0.1 * massG * 46) / 1000 / copies, 6);
	expect(resin).toBeCloseTo((0.9 * massG * 20) / 1000 / copies, 6);
});
