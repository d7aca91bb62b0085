import { describe, expect, it } from 'vitest';
import { lessonPlan } from '../practice';
import { WORKSHOP_DEFAULTS } from '../workshop';
import { type PourPlan } from '../plan/pourPlan';
import { shotMassG, takenG } from '.';

const plan: PourPlan = {
	...lessonPlan(WORKSHOP_DEFAULTS),
	a: { massG: 100, volumeMl: 92 },
	b: { massG: 90, volumeMl: 92 },
	massG: 190
};
const layer: NonNullable<PourPlan['layers']>[number] = {
	a: { massG: 20, volumeMl: 18 },
	b: { massG: 18, volumeMl: 18 },
	thicknessMm: 2,
	potLifeS: 200,
	lockS: 240,
	gelS: 400,
	recoatFromS: 400,
	recoatUntilS: 900,
	serves: 'detail'
};
const layered: PourPlan = {
	...plan,
	massG: 38,
	layers: [layer, { ...layer, fillers: [{ name: 'bronze', massG: 30, volumeMl: 3.5 }] }, layer]
};

describe('what a shot weighs', () => {
	it('one cup is itself; layers are all of them with what is in them (by hand)', () => {
		expect(shotMassG(plan)).toBe(190);
		expect(shotMassG(layered)).toBe(3 * 38 + 30);
		const catalysed = {
			...layer,
			b: { massG: 0, volumeMl: 0 },
			catalyst: { massG: 0.2, volumeMl: 0.18, drops: 5 }
		};
		expect(shotMassG({ ...plan, layers: [catalysed, catalysed] })).toBeCloseTo(40.4, 12);
	});
});

describe('what it took out of the tins', () => {
	it('counts each cup once it was combined, as weighed, else as planned', () => {
		const state = (done: string[], weighedG: Record<string, number> = {}) => ({
			doneAtMs: Object.fromEntries(done.map((id, i) => [id, i])),
			weighedG
		});
		expect(takenG(plan, state([]))).toEqual({ aG: 0, bG: 0, fillersG: {} });
		expect(takenG(plan, state(['combine']))).toMatchObject({ aG: 100, bG: 90 });
		expect(takenG(plan, state(['combine'], { 'measure-a': 104 }))).toMatchObject({ aG: 104, bG: 90 });
		expect(takenG(layered, state(['combine', 'combine-1'], { 'measure-b-1': 17 }))).toMatchObject({
			aG: 40,
			bG: 35
		});
	});
});
