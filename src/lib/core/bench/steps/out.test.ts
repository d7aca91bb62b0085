import { describe, expect, it } from 'vitest';
import { benchSteps, clocksOf, correctedPlan, reducePour, retimed, withSteps } from '..';
import type { PourPlan } from '../../plan';
import { planOf } from '../plan.testing';

const layer = {
	a: { massG: 60, volumeMl: 55 },
	b: { massG: 54, volumeMl: 55 },
	thicknessMm: 2,
	potLifeS: 150,
	serves: 'detail',
	pouredS: 0,
	lockS: 90,
	gelS: 150,
	recoatFromS: 150,
	recoatUntilS: 400
};
/** Two rolled layers; `ahead`: as this version plans the next cup. */
const layered = (over: Partial<PourPlan>, ahead = true): PourPlan => {
	const { pot: _pot, ...plan } = planOf();
	return {
		...plan,
		layers: [layer, { ...layer, pouredS: 150, ...(ahead ? { combinedS: 110 } : {}) }],
		...over
	};
};

const ids = (plan: Parameters<typeof benchSteps>[0]) => benchSteps(plan).map((s) => s.id);
const step = (plan: Parameters<typeof benchSteps>[0], id: string) =>
	benchSteps(plan).find((s) => s.id === id)!;

describe('out while it still gives', () => {
	const plan = layered({ demouldS: 600, out: { stiffS: 2400 } });
	it('says from when and until when, and its keys are sounded before they lock', () => {
		expect(step(plan, 'demould').title).toBe('Out while it still gives');
		expect(step(plan, 'demould').detail).toContain('40');
		const poured = Date.UTC(2026, 0, 1);
		const state = {
			...reducePour(benchSteps(plan), []),
			combinedAtMs: poured,
			pouredAtMs: poured,
			settledAtMs: poured
		};
		const clocks = clocksOf('p', withSteps(plan), state);
		expect(clocks.map((c) => [c.then, (c.endsAtMs - poured) / 1000])).toEqual([
			['it is stiff: keys lock', 2400],
			['out while it still gives', 600]
		]);
	});
	it('what was read at the bench moves both ends', () => {
		const now = correctedPlan(plan, { potLifeS: 1, usableS: 1, holdUntilS: 1, demouldS: 500, stiffS: 2000 });
		expect([now.demouldS, now.out]).toEqual([500, { stiffS: 2000 }]);
	});
});

describe('a shell that is filled', () => {
	const fill = {
		words: 'plaster, wet',
		kind: 'plaster' as const,
		mixG: 160,
		fillMl: 94,
		powderG: 100,
		waterG: 60
	};
	it('in its mould waits until it is firm; afterwards it is filled once it is out', () => {
		const inside = ids(layered({ fill }));
		expect(inside.indexOf('fill')).toBeLessThan(inside.indexOf('demould'));
		expect(step(layered({ fill }), 'fill').waitS).toBe(900);
		const outside = layered({ fill: { ...fill, outside: true } });
		expect(ids(outside).indexOf('fill')).toBe(ids(outside).indexOf('demould') + 1);
		expect(step(outside, 'fill').kind).toBe('check');
		// it waited in its mould already, nothing is in it when it comes out, and plaster is no hot cup
		expect(retimed(benchSteps(outside), outside).find((s) => s.id === 'fill')!.waitS).toBeUndefined();
		expect(step(outside, 'demould').detail).not.toMatch(/filling/);
		expect(step(layered({ fill }), 'demould').detail).toMatch(/filling has set/);
		expect(step(outside, 'fill').cautions).toEqual(['powder', 'plaster']);
	});
	it('plaster is weighed as powder and water', () => {
		expect(step(layered({ fill }), 'fill').detail).toMatch(/100.g of powder sifted into 60.g of water/);
	});
});

describe('the next cup', () => {
	it('is combined a mixing before the layer below gels; a plan of an earlier version waits until it has', () => {
		expect(step(layered({}), 'gelled-0').waitS).toBe(150 - 40);
		expect(step(layered({}), 'gelled-0').title).toBe('Wait: layer 1 nearly gels');
		expect(step(layered({}, false), 'gelled-0').waitS).toBe(150);
		expect(step(layered({}, false), 'gelled-0').action).toBe('It has gelled');
	});
});

describe('out while it still gives', () => {
	const { pot: _pot, ...solid } = planOf();
	const out = { ...solid, demouldS: 400, out: { stiffS: 900 } };
	it('is held in its shape until it is stiff, counted from the pour, and the clock runs on after the demould', () => {
		const steps = benchSteps(out);
		const at = steps.findIndex((s) => s.id === 'support');
		expect(steps[at - 1]!.id).toBe('demould');
		expect(steps[at]).toMatchObject({ kind: 'dry', waitS: 900 });
		expect(steps.find((s) => s.id === steps[at]!.sinceStep)!.role).toBe('pour');
		expect(benchSteps(solid).some((s) => s.id === 'support')).toBe(false);
		const upTo = (last: string) =>
			reducePour(
				steps,
				steps.slice(0, steps.findIndex((s) => s.id === last) + 1).map((s, i) => ({
					id: `00000000-0000-4000-8000-0000000000${(10 + i).toString()}`,
					kind: 'step-done' as const,
					stepId: s.id,
					atMs: 1_790_000_000_000 + i * 1000
				}))
			);
		const said = (last: string) => clocksOf('p', withSteps(out), upTo(last)).map((c) => c.then);
		expect(said('demould')).toEqual(['it is stiff: it keeps its shape']);
		expect(said('support')).toEqual([]);
		// a pour of before has no such step, and no clock after it is out
		const old = { ...out, bench: steps.filter((s) => s.id !== 'support') };
		expect(clocksOf('p', withSteps(old), upTo('demould'))).toEqual([]);
	});
});
