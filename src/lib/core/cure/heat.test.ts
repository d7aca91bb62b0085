import { describe, expect, it } from 'vitest';
import { cup } from './cup';
import { crackLimitC, CRACK_LIMIT_C, heatWarnings } from './heat';
import { calibrate } from './calibrate';
import { part } from './part';
import { solvePart } from './partModel';
import type { CureRecord } from './record';

/** A fast urethane, an epoxy of 80 min and 24 h, a clear polyester at its sheet's share (invented). */
const fast: CureRecord = { potLifeS: 150, demouldS: 900, character: 'quick' };
const epoxy: CureRecord = { chemistry: 'epoxy', potLifeS: 4800, demouldS: 86_400, character: 'quick' };
const clear: CureRecord = {
	chemistry: 'polyester',
	catalyst: { percent: 1.5, referencePercent: 1, referenceGelS: 1200, referenceTempC: 25 },
	demouldS: 28_800,
	character: 'quick'
};
const at = (resin: CureRecord, thicknessMm: number) =>
	part({
		resin,
		section: { shape: 'slab', thicknessMm },
		mouldWallMm: 10,
		startTempC: 23,
		mouldTempC: 23,
		roomTempC: 23
	});
const codes = (resin: CureRecord, mm: number) => at(resin, mm).warnings.map((w) => w.code);

describe('the heat of a part', () => {
	it('a thick fast urethane has had its time with a hot, soft middle, and says so with its temperature', () => {
		const thick = at(fast, 150);
		expect(thick.softCoreAtMatured).toBe(true);
		expect(thick.demouldS).toBeGreaterThan(thick.maturedS * 3);
		const warning = thick.warnings.find((w) => w.code === 'hot-core')!;
		expect(warning.severity).toBe('harm');
		expect(warning.message).toContain(`${Math.round(thick.hottestAtMaturedC)} °C`);
		// the sheet's own section comes out cool, and urethane gives way instead of cracking
		expect(codes(fast, 6)).toEqual([]);
		expect(codes(fast, 150)).not.toContain('may-crack');
	});
	it('thick polyester and epoxy are told that they may crack, thin ones are not', () => {
		expect(codes(clear, 40)).toContain('may-crack');
		expect(codes(epoxy, 30)).toContain('may-crack');
		expect(codes(epoxy, 2)).not.toContain('may-crack');
		const said = (resin: CureRecord, mm: number) =>
			at(resin, mm).warnings.find((w) => w.code === 'may-crack')!.action;
		// less catalyst is no advice where there is none
		expect(said(clear, 40)).toMatch(/less catalyst/);
		expect(said(epoxy, 30)).not.toMatch(/catalyst/);
		expect(crackLimitC({ ...fast, crackLimitC: 70 })).toBe(70);
		expect(crackLimitC(fast)).toBeUndefined();
		expect(crackLimitC(epoxy)).toBe(CRACK_LIMIT_C);
	});
	it('nothing is ready before its own cup gels: an epoxy of 80 min in 30 mm', () => {
		const cupGelS = cup({ resin: epoxy, massG: 100, startTempC: 23, roomTempC: 23 }).gelTimeS;
		for (const mm of [3, 12, 30, 80])
			expect(at(epoxy, mm).demouldS, `${mm} mm`).toBeGreaterThanOrEqual(cupGelS * 0.999);
	});
	it('the sheet’s own case still comes back to a second', () => {
		expect(Math.abs(at(fast, 6).demouldS - 900)).toBeLessThan(1);
	});
	it('is judged by the peak and by what is left of it, each for itself', () => {
		const cool = {
			peakTempC: 95,
			maturedS: 500,
			hottestAtMaturedC: 40,
			softCoreAtMatured: false,
			hottestAtDemouldC: 30,
			demouldS: 600
		};
		expect(heatWarnings(cool, 90).map((w) => w.code)).toEqual(['may-crack']);
		expect(heatWarnings(cool, undefined)).toEqual([]);
		expect(heatWarnings({ ...cool, hottestAtDemouldC: 81 }, undefined).map((w) => w.code)).toEqual([
			'hot-core'
		]);
		const [now] = heatWarnings(
			{ ...cool, demouldS: 500, softCoreAtMatured: true, hottestAtDemouldC: 96 },
			undefined
		);
		expect(now!.message).toContain('96 °C hot and soft');
		expect(now!.action).not.toContain('until it is stiff');
		const [soft] = heatWarnings({ ...cool, softCoreAtMatured: true, hottestAtMaturedC: 96 }, undefined);
		expect(soft!.message).toContain('96 °C');
		expect(soft!.action).toContain('10 min');
	});
});

describe('sums that do not come to an end', () => {
	it('are said to be that, and never "does not set within thirty days"', () => {
		const run = solvePart(calibrate(fast), {
			section: { shape: 'slab', thicknessMm: 6 },
			mouldWallMm: 10,
			startTempC: 23,
			mouldTempC: 23,
			roomTempC: 23
		});
		expect(run.ended).toBe('done');
		const cold = solvePart(
			calibrate(fast),
			{
				section: { shape: 'slab', thicknessMm: 6 },
				mouldWallMm: 10,
				startTempC: 23,
				mouldTempC: 23,
				roomTempC: 23
			},
			{ horizonS: 30 }
		);
		expect(cold).toMatchObject({ ended: 'horizon', demouldS: Infinity });
	});
});
