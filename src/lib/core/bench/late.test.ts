import { describe, expect, it } from 'vitest';
import { type PourPlan } from '../plan/pourPlan';
import { benchSteps, lateAdvice } from '.';
import { planOf } from './plan.testing';

const plan = planOf({
	moulds: [
		{ id: 'm1', number: 4, label: 'Ammonite', copies: 1 },
		{ id: 'm2', number: 5, label: 'Ammonite', copies: 1 }
	]
});
const steps = benchSteps(plan);
const at = (id: string) => steps.findIndex((s) => s.id === id);
const told = (id: string, elapsedS: number, over: Partial<PourPlan> = {}, more: object = {}) => {
	const p = { ...plan, ...over };
	return lateAdvice(p, benchSteps(p), { current: at(id), temps: [], ...more }, elapsedS)?.code;
};

describe('while it is liquid', () => {
	it('nothing is said while there is time for everything', () => {
		expect(told('timed-0', 5)).toBeUndefined();
		expect(told('timed-1', 60)).toBeUndefined();
		expect(told('demould', 1000)).toBeUndefined();
	});
	it('too late for the pot is said when loading and pumping no longer fit, and not a second before', () => {
		// pouring, loading and pumping take 52 s: until 98 s after combining they still fit
		expect(told('timed-1', 97)).toBeUndefined();
		expect(told('timed-1', 99)).toBe('too-late-for-the-pot');
		expect(told('timed-2', 117, {}, { pouredAtMs: 1 })).toBeUndefined();
		expect(told('timed-2', 119, {}, { pouredAtMs: 1 })).toBe('too-late-for-the-pot');
	});
	it('without a pot, several moulds that no longer all fit are said', () => {
		const open = { pot: undefined, steps: plan.steps.slice(0, 2) };
		expect(told('timed-1', 129, open)).toBeUndefined();
		expect(told('timed-1', 131, open)).toBe('too-late-for-all');
		expect(told('timed-1', 131, { ...open, moulds: plan.moulds.slice(0, 1) })).toBeUndefined();
	});
	it('past its pot life it is not poured; once it is in the mould that is no matter', () => {
		expect(told('timed-1', 151)).toBe('past-pot-life');
		expect(told('timed-2', 151, {}, { pouredAtMs: 1 })).not.toBe('past-pot-life');
	});
	it('a cup that runs away is told first of all', () => {
		expect(told('timed-0', 5, {}, { temps: [{ timeS: 4, tempC: 92 }] })).toBe('runaway');
		expect(told('timed-0', 5, {}, { temps: [{ timeS: 4, tempC: 60 }] })).toBeUndefined();
	});
	it('a later layer goes by its own cup', () => {
		const layer = {
			a: plan.a,
			b: plan.b,
			thicknessMm: 1,
			potLifeS: 100,
			lockS: 100,
			gelS: 200,
			recoatFromS: 200,
			recoatUntilS: 400,
			serves: 'detail'
		};
		const rolled: PourPlan = { ...plan, pot: undefined, layers: [{ ...layer, potLifeS: 150 }, layer] };
		const all = benchSteps(rolled);
		const of = (id: string, s: number) =>
			lateAdvice(rolled, all, { current: all.findIndex((x) => x.id === id), temps: [] }, s)?.code;
		const since = (id: string, s: number) =>
			lateAdvice(rolled, all, { current: all.findIndex((x) => x.id === id), temps: [] }, undefined, s)?.code;
		expect(since('gelled-0', 390)).toBeUndefined();
		expect(since('gelled-0', 410)).toBe('recoat-late');
		expect(since('measure-b-1', 410)).toBe('recoat-late');
		expect(since('combine-1', 410)).toBe('recoat-late');
		expect(of('pour-0', 120)).toBeUndefined();
		expect(of('pour-1', 120)).toBe('past-pot-life');
	});
});
