import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
	benchSteps,
	clocksOf,
	isCastablePlan,
	lateAdvice,
	mixedMassG,
	reducePour,
	type PourEvent,
	withSteps
} from '../bench';
import { cube } from '../examples.testing';
import { mouldInputs, planMould } from '../mould';
import { pourPlan } from '../plan';
import { castableRecord, type CastableRecord } from '../shelf';
import { InputError } from '../working';
import { WORKSHOP_DEFAULTS } from '../workshop';
import { castableInputs } from './inputs';
import { planCastable, type CastableContext } from './plan';
import { castablePourPlan } from './pourPlan';

const plaster = castableRecord.parse({
	name: 'Bag',
	sort: 'plaster',
	waterPerPowder: 0.7,
	workS: 600,
	demouldS: 2400,
	pricePerKg: 2
});
const wax = castableRecord.parse({ name: 'Wax', sort: 'wax', pourTempC: 70, workS: 240, demouldS: 3600 });
const context: CastableContext = {
	volumeMl: 100,
	moulds: [{ name: 'M1', cavities: 2, mostTempC: 200 }],
	marginPercent: 15,
	scaleResolutionG: 1,
	scaleCapacityG: 5000
};
const typed = (over: object = {}) =>
	castableInputs.parse({
		materialId: 'p',
		masterId: 'm',
		mouldIds: ['1'],
		copies: 1,
		lossPercent: 0,
		...over
	});
const pourOf = (record: CastableRecord, over: object = {}) => {
	const inputs = typed(over);
	const bought = mouldInputs.parse({
		kind: 'rigid',
		rigidSource: 'bought',
		label: 'Cube',
		masterId: 'm',
		clearanceMm: 10,
		coverMm: 10,
		lossPercent: 0,
		cavities: 2,
		roomTempC: 21,
		note: ''
	});
	return castablePourPlan(inputs, planCastable(inputs, record, context), {
		masterName: 'Cube',
		moulds: [{ id: 'a', number: 1, label: 'Cube', inputs: bought, plan: planMould(bought, cube, {}) }],
		record,
		settings: WORKSHOP_DEFAULTS
	});
};

describe('plaster, wax and soap', () => {
	it('pottery plaster at 70 of water to 100 weighs wet what plaster makers print, within 2 %', () => {
		// "wet density 98 to 100 lb/ft³ at consistency 70" of makers' data sheets (from memory): 1.57–1.60 g/ml
		const { massG, powderG, waterG } = planCastable(typed(), plaster, context);
		expect(Math.abs(massG / 100 / 1.585 - 1)).toBeLessThan(0.02);
		expect(waterG! / powderG!).toBeCloseTo(0.7, 12);
	});
	it('by hand: two copies of 100 ml and 5 ml of sprue with a tenth lost are 231 ml; wax 212.5 g, 15 % of it to top up', () => {
		const plan = planCastable(typed({ copies: 2, sprueVolumeMl: 5, lossPercent: 10 }), wax, context);
		expect(plan.volumeMl).toBeCloseTo(231, 9);
		expect(plan.massG).toBeCloseTo(231 * 0.92, 9);
		expect(plan.topUpG).toBeCloseTo(31.878, 9);
		// no time of its own but the pour
		expect(plan.steps).toEqual([{ name: 'Pour', durationS: 40, role: 'pour' }]);
		expect(plan.slackS).toBeCloseTo(240 * 0.85 - 40, 9);
	});
	it('powder and water make up mass and volume, for every ratio', () => {
		fc.assert(
			fc.property(
				fc.double({ min: 0.2, max: 2, noNaN: true }),
				fc.double({ min: 1, max: 5000, noNaN: true }),
				(waterPerPowder, volumeMl) => {
					const p = planCastable(typed(), { ...plaster, waterPerPowder }, { ...context, volumeMl });
					expect(p.powderG! + p.waterG!).toBeCloseTo(p.massG, 6);
					// 2.76 g/ml for the mineral (from memory)
					expect(p.powderG! / 2.76 + p.waterG!).toBeCloseTo(p.volumeMl, 6);
				}
			)
		);
	});
	it('says what does not fit: copies, time, heat of the mould, the scale', () => {
		const codes = (over: object, record = plaster, c: Partial<CastableContext> = {}) =>
			planCastable(typed(over), record, { ...context, ...c }).warnings.map((w) => w.code);
		expect(() => planCastable(typed({ copies: 3 }), plaster, context)).toThrow(InputError);
		expect(codes({})).toEqual([]);
		const slow = planCastable(typed({ copies: 2, pourS: 200, tapS: 30 }), plaster, context);
		expect(slow.warnings[0]).toMatchObject({ code: 'too-slow', severity: 'harm' });
		expect(slow.copiesInTime).toBe(1);
		expect(codes({}, wax, { moulds: [{ name: 'M1', cavities: 1, mostTempC: 60 }] })).toEqual([
			'too-hot-for-mould'
		]);
		expect(codes({}, wax, { moulds: [{ name: 'M1', cavities: 1 }] })).toEqual(['heat-not-known']);
		expect(codes({}, plaster, { volumeMl: 5 })).toEqual(['small-for-scale']);
		expect(codes({}, plaster, { volumeMl: 9000 })).toEqual(['over-the-scale']);
	});
	it('a record wants what its kind needs, at the field', () => {
		const refused = (over: object) =>
			castableRecord
				.safeParse({ name: 'X', sort: 'plaster', waterPerPowder: 0.6, workS: 600, demouldS: 2400, ...over })
				.error?.issues.map((i) => i.path[0]);
		expect(refused({})).toBeUndefined();
		expect(refused({ waterPerPowder: undefined })).toEqual(['waterPerPowder']);
		expect(refused({ sort: 'wax' })).toEqual(['pourTempC']);
		expect(refused({ demouldS: 300 })).toEqual(['demouldS']);
	});
	it('goes to the bench: water first, powder into it, no air that harms it, no engine', () => {
		const plan = pourOf(plaster);
		expect(pourPlan.safeParse(plan).success).toBe(true);
		expect(isCastablePlan(plan)).toBe(true);
		const steps = benchSteps(plan);
		const ids = steps.map((s) => s.id);
		expect(ids.indexOf('measure-b')).toBeLessThan(ids.indexOf('measure-a'));
		expect(ids.slice(-3)).toEqual(['demould', 'clean', 'inspect']);
		expect(ids).not.toContain('air');
		expect(steps.some((s) => s.part)).toBe(false);
		expect(steps.flatMap((s) => s.cautions)).not.toContain('isocyanate');
		expect(mixedMassG(plan, steps, { weighedG: {} })).toBeCloseTo(plan.a.massG + plan.b.massG, 9);
		expect(plan.cure).toBeUndefined();
	});
	it('a melt has no water, says its heat where it is melted, and keeps some to top up', () => {
		const plan = pourOf(wax);
		const steps = benchSteps(plan);
		expect(steps.find((s) => s.id === 'melt')).toMatchObject({
			title: expect.stringMatching(/^Melt it to 70\s°C$/),
			cautions: ['melt']
		});
		expect(steps.some((s) => s.id === 'measure-b')).toBe(false);
		expect(steps.find((s) => s.id === 'combine')!.detail).toMatch(/^14\sg of it stay/);
	});
	it('runs on its own times: too cool to pour, then out; late says what helps', () => {
		const plan = pourOf(wax);
		const steps = benchSteps(plan);
		const t0 = Date.UTC(2026, 0, 1);
		const upTo = (last: string) =>
			steps.slice(0, steps.findIndex((s) => s.id === last) + 1).map((s, i): PourEvent => ({
				id: `00000000-0000-4000-8000-00000000000${i.toString(16)}`,
				kind: 'step-done',
				stepId: s.id,
				atMs: t0 + i * 1000
			}));
		const off = reducePour(steps, upTo('combine'));
		expect(clocksOf('p', withSteps(plan), off)).toMatchObject([
			{ kind: 'pot-life', then: 'too cool to pour' }
		]);
		expect(lateAdvice(plan, steps, off, 300)?.action).toMatch(/Warm it in its bath/);
		expect(lateAdvice(plan, steps, off, 100)).toBeUndefined();
		const poured = reducePour(steps, upTo('timed-0'));
		expect(clocksOf('p', withSteps(plan), poured)).toMatchObject([{ kind: 'cure', then: 'demould' }]);
	});
});
