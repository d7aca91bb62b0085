import { describe, expect, it } from 'vitest';
import { budget, budgetInput } from '../budget';
import { WORKSHOP_DEFAULTS } from '../workshop';
import { DEMO_RESINS } from '../../server/seed/materials';
import { resinRecord } from '../shelf';
import { planShot, solidShot, type ShotContext, type SolidShotInput, shotInputs } from '.';
import { tryPlanShot } from './tryPlan';

describe('budget', () => {
	it('slack is pot life less margin less the last step, by hand', () => {
		const b = budget({
			steps: [
				{ name: 'mix', durationS: 45 },
				{ name: 'pour', durationS: 30 }
			],
			potLifeS: 200,
			marginPercent: 10
		});
		expect(b).toMatchObject({ slackS: 105, fits: true, usableS: 180 });
		expect(b.deadlines.map((d) => d.atS)).toEqual([45, 75]);
	});
	it('the margin is 15 % unless said otherwise (common practice, no source)', () => {
		const b = budget({ steps: [{ name: 'mix', durationS: 90 }], potLifeS: 100 });
		expect(b.slackS).toBeCloseTo(-5, 9);
		expect(b.fits).toBe(false);
	});
	it('refuses no steps and times below nothing', () => {
		expect(budgetInput.safeParse({ steps: [], potLifeS: 100 }).success).toBe(false);
		expect(budgetInput.safeParse({ steps: [{ name: 'mix', durationS: -1 }], potLifeS: 100 }).success).toBe(
			false
		);
	});
});

const input: SolidShotInput = {
	cavityVolumeMl: 80,
	sprueVolumeMl: 5,
	loss: { by: 'percent', percent: 10 },
	copies: 5,
	cavitiesAtOnce: 4,
	resin: { densityAGPerMl: 1.1, densityBGPerMl: 0.99, ratio: { by: 'volume', a: 1, b: 1 } },
	cure: { potLifeS: 150, demouldS: 900, character: 'quick' },
	viscosityMpaS: 100,
	where: { section: { shape: 'slab', thicknessMm: 6 }, mouldWallMm: 12 },
	steps: [
		{ name: 'Mix', durationS: 45 },
		{ name: 'Pour', durationS: 20, per: 'copy' }
	],
	startTempC: 23,
	mouldTempC: 23,
	roomTempC: 23
};

describe('solid shot', () => {
	it('cavity, sprue and loss, by hand', () => {
		const { batches } = solidShot({ ...input, copies: 1 });
		expect(batches).toHaveLength(1);
		expect(batches[0]!.pouredMl).toBeCloseTo(85, 9);
		expect(batches[0]!.volumeMl).toBeCloseTo(93.5, 9);
		expect(batches[0]!.a.volumeMl).toBeCloseTo(46.75, 9);
		expect(batches[0]!.massG).toBeCloseTo(46.75 * 2.09, 9);
	});

	it('splits so that every batch fits, fills no more moulds than stand ready, and makes every copy', () => {
		const shot = solidShot(input);
		expect(shot.batches.reduce((sum, b) => sum + b.copies, 0)).toBe(5);
		expect(Math.max(...shot.batches.map((b) => b.copies))).toBe(shot.largestBatch);
		expect(shot.largestBatch).toBeLessThanOrEqual(4);
		expect(shot.batches.every((b) => b.fits)).toBe(true);
		// one more copy would not have fitted, or there was no further mould
		const more = solidShot({ ...input, copies: shot.largestBatch + 1, cavitiesAtOnce: shot.largestBatch });
		expect(more.batches.length).toBe(2);
	});

	it('a bigger cup gives less time', () => {
		const one = solidShot({ ...input, copies: 1 }).batches[0]!;
		const big = solidShot({ ...input, copies: 1, cavityVolumeMl: 2000 }).batches[0]!;
		expect(big.potLifeS).toBeLessThan(one.potLifeS);
	});

	it('a copy that cannot be poured in time is flagged, not hidden', () => {
		const shot = solidShot({ ...input, copies: 1, steps: [{ name: 'Mix', durationS: 400 }] });
		expect(shot.largestBatch).toBe(0);
		expect(shot.batches).toHaveLength(1);
		expect(shot.warnings[0]).toMatchObject({ code: 'does-not-fit', severity: 'harm' });
	});

	it('a coarse scale on a small shot is said with its figure', () => {
		const shot = solidShot({ ...input, copies: 1, cavityVolumeMl: 8, sprueVolumeMl: 0, scaleResolutionG: 1 });
		expect(shot.warnings.map((w) => w.code)).toContain('scale-too-coarse');
		expect(shot.batches[0]!.schools.scale.errorPercent).toBeGreaterThan(2);
	});

	it('marks stand at the height that holds the volume', () => {
		const { schools, a } = solidShot({ ...input, copies: 1 }).batches[0]!;
		const { cupDiameterMm, markAMm } = schools.marks;
		expect((Math.PI * cupDiameterMm ** 2 * markAMm) / 4000).toBeCloseTo(a.volumeMl, 9);
	});
});

describe('a shot from the records', () => {
	const context: ShotContext = {
		cavityVolumeMl: 120,
		mouldWallMm: 12,
		mouldsVolumeMl: 700,
		resin: resinRecord.parse(DEMO_RESINS[0]),
		settings: { ...WORKSHOP_DEFAULTS, potVolumeL: 10 }
	};
	const typed = shotInputs.parse({
		masterId: 'm',
		mouldIds: ['x'],
		resinId: 'r',
		copies: 1,
		sprueVolumeMl: 0,
		lossBy: 'film' as const,
		lossPercent: 10,
		sectionMm: 6,
		mixS: 40,
		pourS: 20,
		usePot: true,
		loadS: 15,
		startTempC: 21,
		mouldTempC: 21,
		roomTempC: 21,
		relativeHumidity: 40
	});

	it('with the pot, loading and pumping count against the pot life', () => {
		const planned = planShot(typed, context);
		expect(planned.roles).toEqual(['mix', 'pour', 'load', 'pump']);
		expect(planned.shot.batches[0]!.steps[3]!.durationS).toBeCloseTo(planned.pot!.timeToPressureS, 9);
		expect(planned.shot.holdUntilS).toBeGreaterThan(0);
		expect(planShot({ ...typed, usePot: false }, context).shot.batches[0]!.slackS).toBeGreaterThan(
			planned.shot.batches[0]!.slackS
		);
	});

	it('moulds that do not go into the pot are said at the tick that can be taken off', () => {
		const outcome = tryPlanShot(typed, { ...context, mouldsVolumeMl: 11_000 });
		expect(outcome).toMatchObject({ errors: [{ path: 'usePot' }] });
	});

	it.each([
		[{ copies: 0 }, 'copies'],
		[{ copies: 2.5 }, 'copies'],
		[{ sectionMm: NaN }, 'sectionMm'],
		[{ mouldIds: [] }, 'mouldIds'],
		[{ startTempC: 900 }, 'startTempC'],
		[{ sprueVolumeMl: -1 }, 'sprueVolumeMl']
	])('%j is an error at its field', (part, path) => {
		const outcome = tryPlanShot({ ...typed, ...part }, context);
		expect('errors' in outcome && outcome.errors[0]!.path).toBe(path);
	});
});
