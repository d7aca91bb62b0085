import fc from 'fast-check';
import { beforeAll, expect, it } from 'vitest';
import { geometry } from '../../../mesh/shapes.testing';
import { planTwoPart, type TwoPartInput } from './twoPart';

let lib: Awaited<ReturnType<typeof geometry>>;
beforeAll(async () => void (lib = await geometry()));
const input: TwoPartInput = {
	master: { footprint: 'rectangular', lengthMm: 60, widthMm: 40, heightMm: 50 },
	masterVolumeMl: 80,
	shape: 'box',
	clearanceMm: 12,
	coverMm: 15,
	partingMm: 20,
	rubber: {
		densityGPerMl: 1.1,
		ratio: { by: 'weight', a: 100, b: 10 },
		workingTimeS: 2400,
		cureTimeS: 14_400,
		refTempC: 23,
		cureKind: 'addition'
	},
	roomTempC: 23,
	lossPercent: 0
};

it('halves by hand: a box of 84 × 64 mm, 35 mm below the line and 45 above', () => {
	const plan = planTwoPart(input);
	expect(plan.cavity).toEqual({ shape: 'box', lengthMm: 84, widthMm: 64, heightMm: 80 });
	expect(plan.second.volumeMl).toBeCloseTo(8.4 * 6.4 * 3.5 - 32, 9);
	expect(plan.first.volumeMl).toBeCloseTo(8.4 * 6.4 * 4.5 - 48, 9);
	expect(plan.clay.volumeMl).toBeCloseTo(plan.second.volumeMl, 9);
	expect(plan.first.massG).toBeCloseTo(plan.first.volumeMl * 1.1, 9);
	expect(plan.readyInS).toBeCloseTo(2 * 14_400, 6);
});

it('the master subtracted from its block by the independent library leaves the same rubber', () => {
	const ball = lib.Manifold.sphere(25, 256).translate([0, 0, 25]);
	const block = lib.Manifold.cube([74, 74, 80], true).translate([0, 0, 25]);
	const [above] = block.subtract(ball).splitByPlane([0, 0, 1], 25);
	const plan = planTwoPart({
		...input,
		master: { footprint: 'round', lengthMm: 50, widthMm: 50, heightMm: 50 },
		masterVolumeMl: ball.volume() / 1000,
		masterBelowShare: 0.5,
		partingMm: 25
	});
	expect(plan.first.volumeMl).toBeCloseTo(above.volume() / 1000, 3);
	expect(plan.netVolumeMl).toBeCloseTo(block.subtract(ball).volume() / 1000, 3);
});

it('wherever the line runs, both halves and the master fill the box', () => {
	fc.assert(
		fc.property(
			fc.double({ min: 0.5, max: 49.5, noNaN: true }),
			fc.double({ min: 2, max: 60, noNaN: true }),
			(partingMm, coverMm) => {
				const plan = planTwoPart({ ...input, partingMm, coverMm });
				const box = (8.4 * 6.4 * (50 + 2 * coverMm)) / 10;
				expect(plan.first.volumeMl + plan.second.volumeMl + 80).toBeCloseTo(box, 6);
			}
		)
	);
});

it('a parting line off the master is refused at its field', () => {
	for (const partingMm of [0, 50, -3])
		expect(() => planTwoPart({ ...input, partingMm })).toThrow(
			expect.objectContaining({ path: ['partingMm'] })
		);
});
