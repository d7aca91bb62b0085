import { describe, expect, it } from 'vitest';
import { castAnswer } from '../../calc/castCalculation';
import { urethane } from '../../shot/kinds/shots.testing';
import { layerStories, mixedMassG, reducePour } from '..';

const asked = {
	kind: 'brushed' as const,
	piece: { name: 'Relief', cavityVolumeMl: 900, skinAreaMm2: 90_000 },
	resin: urethane,
	fillerId: 'k',
	fillers: [
		{
			id: 'k',
			name: 'Fluff',
			family: 'fumed silica' as const,
			densityGPerMl: 2.2,
			bulkDensityGPerMl: 0.05,
			creamyScoopsPerB: 0.8,
			pasteScoopsPerB: 2,
			note: ''
		}
	],
	inserts: [{ name: 'hook', massG: 6, volumeMl: 1 }],
	wallMm: 4,
	copies: 1,
	sprueVolumeMl: 0,
	sectionMm: 4,
	lossPercent: 0,
	startTempC: 21,
	mouldTempC: 21,
	roomTempC: 21,
	relativeHumidity: 45
};

describe('brushed at the bench', () => {
	const { plans, steps } = castAnswer(asked);
	const plan = plans[0]!;
	const ids = steps.map((s) => s.id);

	it('is tipped out after mixing, spread, and what it hangs by goes into the last coat', () => {
		const last = plan.layers!.length - 1;
		const order = [
			'combine',
			'mix-0',
			'pour-0',
			'brush-0',
			'gelled-0',
			`brush-${last}`,
			`set-${last}`,
			'demould'
		];
		const at = order.map((id) => ids.indexOf(id));
		expect(at.every((n) => n >= 0)).toBe(true);
		expect([...at].sort((a, b) => a - b)).toEqual(at);
		expect(ids).not.toContain('inserts');
	});
	it('what is set into a cold cast goes into the empty mould, once: its backing is no wall', () => {
		const bronze = {
			id: 'm',
			name: 'Bronze',
			family: 'metal powder' as const,
			densityGPerMl: 8.7,
			bulkDensityGPerMl: 3.4,
			note: ''
		};
		const cold = castAnswer({ ...asked, kind: 'cold', fillers: [bronze], fillerId: 'm', fillerPercent: 60 });
		expect(cold.steps.filter((s) => s.id === 'inserts' || s.id.startsWith('set-')).map((s) => s.id)).toEqual([
			'inserts'
		]);
	});
	it('pairs of hands spread side by side: two copies take no longer than one', () => {
		const two = castAnswer({ ...asked, copies: 2, hands: 2, mould: { count: 2 } });
		expect(two.plans[0]!.layers![0]!.layS).toBeCloseTo(180, 6);
	});
	it('says the time that spreading gains: gel of the thin coat less the pot life of its cup', () => {
		const { detail } = steps.find((s) => s.id === 'pour-0')!;
		expect(detail).toMatch(/In its cup it is too thick after .* spread out it works until about .* more\./);
	});
	it('spreading 900 cm² takes three minutes at 300 cm² a minute, and as long as was typed', () => {
		expect(plan.layers![0]!.layS).toBeCloseTo(180, 6);
		expect(castAnswer({ ...asked, layS: 400 }).plans[0]!.layers![0]!.layS).toBe(400);
	});
	it('a coat follows the consistency: 2 mm level, on a wall no more than stays up', () => {
		expect(plan.layers).toHaveLength(2);
		const upright = castAnswer({ ...asked, stands: 'upright' });
		for (const l of upright.plans[0]!.layers!) expect(l.thicknessMm).toBeLessThanOrEqual(3);
		expect(upright.warnings.map((w) => w.code)).not.toContain('sags');
	});
	it('more thickener is booked with its cup, once for each press', () => {
		const more = (n: number) => ({
			kind: 'added' as const,
			id: `00000000-0000-4000-8000-00000000010${n}`,
			atMs: 1.8e12 + n,
			name: 'Fluff',
			massG: 2,
			cup: 1
		});
		const state = reducePour(steps, [more(1), more(2), more(2)]);
		expect(state.added).toHaveLength(2);
		expect(mixedMassG(plan, steps, state) - mixedMassG(plan, steps, { weighedG: {} })).toBeCloseTo(4, 9);
		const [first, second] = layerStories(plan, state);
		expect(first!.realG).toBeUndefined();
		expect(second!.realG! - second!.plannedG).toBeCloseTo(4, 9);
	});
});
