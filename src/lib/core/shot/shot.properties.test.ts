import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { benchSteps } from '../bench';
import { cautionsFor, caution, CAUTION_ORDER } from '../cautions';
import { planBlock, type BlockPlanInput } from '../mould';
import { solidShot, type SolidShotInput } from '.';
import { planOf } from '../bench/plan.testing';

const shots = fc.record({
	cavityVolumeMl: fc.double({ min: 2, max: 900, noNaN: true }),
	sprueVolumeMl: fc.double({ min: 0, max: 30, noNaN: true }),
	copies: fc.integer({ min: 1, max: 12 }),
	cavitiesAtOnce: fc.integer({ min: 1, max: 6 }),
	lossPercent: fc.double({ min: 0, max: 30, noNaN: true }),
	potLifeS: fc.integer({ min: 90, max: 900 }),
	mixS: fc.integer({ min: 10, max: 60 }),
	pourS: fc.integer({ min: 5, max: 40 }),
	tempC: fc.integer({ min: 10, max: 32 })
});
const toInput = (x: {
	cavityVolumeMl: number;
	sprueVolumeMl: number;
	copies: number;
	cavitiesAtOnce: number;
	lossPercent: number;
	potLifeS: number;
	mixS: number;
	pourS: number;
	tempC: number;
}): SolidShotInput => ({
	cavityVolumeMl: x.cavityVolumeMl,
	sprueVolumeMl: x.sprueVolumeMl,
	loss: { by: 'percent', percent: x.lossPercent },
	copies: x.copies,
	cavitiesAtOnce: x.cavitiesAtOnce,
	resin: { densityAGPerMl: 1.1, densityBGPerMl: 0.99, ratio: { by: 'weight', a: 100, b: 90 } },
	cure: { potLifeS: x.potLifeS, demouldS: 6 * x.potLifeS, character: 'quick' },
	viscosityMpaS: 120,
	where: { section: { shape: 'slab', thicknessMm: 6 }, mouldWallMm: 12 },
	steps: [
		{ name: 'Mix', durationS: x.mixS },
		{ name: 'Pour', durationS: x.pourS, per: 'copy' }
	],
	startTempC: x.tempC,
	mouldTempC: x.tempC,
	roomTempC: x.tempC
});

describe('any solid shot', () => {
	it('makes every copy, conserves mass, keeps the ratio, and never overfills its moulds', () => {
		fc.assert(
			fc.property(shots, (x) => {
				const shot = solidShot(toInput(x));
				expect(shot.batches.reduce((sum, b) => sum + b.copies, 0)).toBe(x.copies);
				for (const b of shot.batches) {
					expect(b.copies).toBeLessThanOrEqual(Math.max(1, Math.min(x.cavitiesAtOnce, x.copies)));
					expect((b.a.massG + b.b.massG) / b.massG).toBeCloseTo(1, 9);
					expect(b.b.massG / b.a.massG).toBeCloseTo(0.9, 9);
					expect(b.volumeMl).toBeCloseTo(b.pouredMl + b.lossMl, 6);
					expect(b.pouredMl).toBeCloseTo(b.copies * (x.cavityVolumeMl + x.sprueVolumeMl), 6);
					expect(b.slackS).toBeCloseTo(
						Math.min(b.potLifeS * 0.85, b.potLifeBand!.lowS) - x.mixS - b.copies * x.pourS,
						6
					);
					expect(b.gelTimeS).toBeGreaterThan(b.potLifeS);
				}
				expect(shot.massG).toBeCloseTo(
					shot.batches.reduce((sum, b) => sum + b.massG, 0),
					6
				);
				if (shot.largestBatch > 0) expect(shot.batches.every((b) => b.fits)).toBe(true);
				else expect(shot.warnings.map((w) => w.code)).toContain('does-not-fit');
			}),
			{ numRuns: 40 }
		);
	});

	it('is never helped by a warmer room or a longer step', () => {
		fc.assert(
			fc.property(shots, (x) => {
				const slack = (over: object) =>
					solidShot({ ...toInput({ ...x, copies: 1 }), ...over }).batches[0]!.slackS;
				const usual = slack({});
				expect(slack({ roomTempC: x.tempC + 6, startTempC: x.tempC + 6 })).toBeLessThan(usual);
				expect(
					slack({
						steps: [
							{ name: 'Mix', durationS: x.mixS + 10 },
							{ name: 'Pour', durationS: x.pourS }
						]
					})
				).toBeCloseTo(usual - 10, 6);
			}),
			{ numRuns: 25 }
		);
	});
});

describe('any block', () => {
	const blocks = fc.record({
		lengthMm: fc.double({ min: 10, max: 300, noNaN: true }),
		widthMm: fc.double({ min: 10, max: 300, noNaN: true }),
		heightMm: fc.double({ min: 10, max: 300, noNaN: true }),
		fill: fc.double({ min: 0.05, max: 0.95, noNaN: true }),
		clearanceMm: fc.double({ min: 3, max: 40, noNaN: true }),
		coverMm: fc.double({ min: 5, max: 40, noNaN: true }),
		shape: fc.constantFrom('box' as const, 'tube' as const)
	});
	it('rubber and master fill the box, A and B the rubber, and more clearance is more rubber', () => {
		fc.assert(
			fc.property(blocks, (x) => {
				const masterVolumeMl = (x.fill * x.lengthMm * x.widthMm * x.heightMm) / 1000;
				const input: BlockPlanInput = {
					master: {
						footprint: 'rectangular',
						lengthMm: x.lengthMm,
						widthMm: x.widthMm,
						heightMm: x.heightMm
					},
					masterVolumeMl,
					shape: x.shape,
					clearanceMm: x.clearanceMm,
					coverMm: x.coverMm,
					rubber: {
						densityGPerMl: 1.1,
						ratio: { by: 'weight', a: 100, b: 10 },
						workingTimeS: 2400,
						cureTimeS: 57_600
					},
					roomTempC: 21,
					lossPercent: 5
				};
				const plan = planBlock(input);
				expect(plan.netVolumeMl + masterVolumeMl).toBeCloseTo(plan.grossVolumeMl, 6);
				expect(plan.a.massG + plan.b.massG).toBeCloseTo(plan.rubber.massG, 6);
				expect(plan.rubber.massG).toBeCloseTo(plan.netVolumeMl * 1.05 * 1.1, 6);
				expect(planBlock({ ...input, clearanceMm: x.clearanceMm + 5 }).rubber.massG).toBeGreaterThan(
					plan.rubber.massG
				);
				const other = planBlock({ ...input, shape: x.shape === 'box' ? 'tube' : 'box' });
				expect(other.netVolumeMl).toBeCloseTo(plan.otherShapeNetMl, 6);
			}),
			{ numRuns: 60 }
		);
	});
});

describe('a resin that is catalysed at the bench', () => {
	const plan = planOf({
		chemistry: 'polyester',
		a: { massG: 200, volumeMl: 180 },
		b: { massG: 0, volumeMl: 0 },
		catalyst: { massG: 2, volumeMl: 1.79, drops: 39 },
		massG: 202,
		steps: [{ name: 'Mix', durationS: 120, role: 'mix' }],
		pot: undefined
	});
	const steps = benchSteps(plan);

	it('has drops instead of a B, and the caution for eyes stands with the bottle', () => {
		expect(steps.some((s) => s.part === 'B')).toBe(false);
		const bottle = steps.find((s) => s.id === 'measure-catalyst')!;
		expect(bottle.title).toContain('39 drops');
		expect(bottle.cautions).toEqual(['catalyst']);
		expect(steps.find((s) => s.kind === 'combine')!.action).toContain('Catalysed');
	});

	it('every caution is a sentence that defers to the sheets, and none names a limit', () => {
		for (const chemistry of ['urethane', 'polyester', 'epoxy', 'silicone'] as const) {
			expect(cautionsFor(chemistry).length).toBeGreaterThan(0);
			for (const topic of cautionsFor(chemistry)) {
				expect(caution(topic)).toMatch(/[.]$/);
				expect(caution(topic)).not.toMatch(/\d/);
			}
		}
		expect(CAUTION_ORDER).toMatch(/safety sheets, local codes/);
	});
});
