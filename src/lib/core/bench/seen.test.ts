import { describe, expect, it } from 'vitest';
import { cup } from '../cure';
import type { CureRecord } from '../cure';
import { sections } from '../cure/sections';
import { benchForecast } from './correct';
import { speedBySight } from './seen';
import type { PourPlan } from '../plan/pourPlan';

const cure: CureRecord = { potLifeS: 480, demouldS: 4500, character: 'quick' };
const climate = { startTempC: 23, mouldTempC: 23, roomTempC: 23 };
const section = { section: { shape: 'slab' as const, thicknessMm: 6 }, mouldWallMm: 12 };
const inCup = (rateFactor = 1) =>
	cup({ resin: { ...cure, rateFactor }, massG: 150, startTempC: 23, roomTempC: 23 });
const ready = (rateFactor = 1) => sections({ ...cure, rateFactor }, section, climate);
const plan = {
	cure,
	section,
	massG: 150,
	startTempC: 23,
	mouldTempC: 23,
	roomTempC: 23,
	potLifeS: inCup().potLifeS,
	usableS: inCup().potLifeS * 0.85,
	holdUntilS: ready().gelLastS * 1.25,
	demouldS: ready().demouldS,
	steps: [{ name: 'Mix', durationS: 60, role: 'mix' }]
} as unknown as PourPlan;

describe('what is seen counts as a reading', () => {
	it('by hand: one thing seen, as sure as the prior is and as an eye is, put together by precision', () => {
		// strings at half the model's time says twice as fast, loosely: ln 2 · (1/0.2²) ÷ (1/0.2² + 1/0.15²)
		const s = speedBySight(plan, cure, climate, [{ what: 'strings', timeS: inCup().gelTimeS / 2 }])!;
		expect(s.lnSpeed).toBeCloseTo((Math.LN2 * 25) / (25 + 1 / 0.0225), 3);
		expect(s.sd).toBeCloseTo(1 / Math.sqrt(25 + 1 / 0.0225), 9);
	});
	it('a batch that is seen to be early in every sign is found to be fast, and demould and hold move with it', () => {
		const [fast, part] = [inCup(1.4), ready(1.4)];
		const seen = [
			{ what: 'strings' as const, timeS: fast.gelTimeS },
			{ what: 'middle-turned' as const, timeS: part.gelFirstS },
			{ what: 'drip-turned' as const, timeS: part.gelLastS }
		];
		const forecast = benchForecast(plan, { temps: [], seen })!;
		expect(forecast.rateFactor!).toBeGreaterThan(1.15);
		expect(forecast.rateFactor!).toBeLessThan(1.45);
		expect(forecast.demouldS).toBeLessThan(plan.demouldS);
		expect(forecast.demouldS).toBeGreaterThan(part.demouldS * 0.95);
		expect(forecast.holdUntilS).toBeLessThan(plan.holdUntilS);
	});
	it('the model’s own times say that the sheet is right; a soft left-over alone says no moment', () => {
		const s = speedBySight(plan, cure, climate, [{ what: 'strings', timeS: inCup().gelTimeS }])!;
		expect(s.lnSpeed).toBeCloseTo(0, 6);
		expect(
			benchForecast(plan, { temps: [], seen: [{ what: 'left-over-soft', timeS: 300 }] })
		).toBeUndefined();
	});
	it('noted twice, the first counts; before combining nothing does', () => {
		const at = inCup().gelTimeS;
		const twice = [
			{ what: 'strings' as const, timeS: at },
			{ what: 'strings' as const, timeS: at * 5 }
		];
		expect(speedBySight(plan, cure, climate, twice)!.lnSpeed).toBeCloseTo(0, 6);
		expect(speedBySight(plan, cure, climate, [{ what: 'strings', timeS: -4 }])).toBeUndefined();
	});
	it('a sign that no batch gives is a slip, and moves nothing', () => {
		expect(speedBySight(plan, cure, climate, [{ what: 'drip-turned', timeS: 2 }])).toBeUndefined();
	});
	it('beside a thermometer it hardly moves what that is sure of', () => {
		const known = { lnSpeed: Math.log(1.2), sd: 0.04 };
		const s = speedBySight(plan, cure, climate, [{ what: 'warm', timeS: 600 }], known)!;
		expect(Math.abs(s.lnSpeed - known.lnSpeed)).toBeLessThan(0.03);
	});
});
