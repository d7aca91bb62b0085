import { describe, expect, it } from 'vitest';
import { castAnswer } from '../../calc/castCalculation';
import { runCalculation } from '../../calc';
import { urethane } from '../../shot/kinds/shots.testing';
import { B_IN_S } from '../../shot/colourSchools';
import { benchForecast, reducePour } from '..';

const asked = {
	piece: { name: 'Dial', cavityVolumeMl: 180 },
	resin: urethane,
	copies: 1,
	sprueVolumeMl: 0,
	sectionMm: 8,
	mixS: 40,
	lossPercent: 0,
	startTempC: 21,
	mouldTempC: 21,
	roomTempC: 21,
	relativeHumidity: 45,
	pourTempC: 36,
	recipes: [
		{ id: 'r', name: 'Red', colours: [{ name: 'Red', part: 'A' as const, percent: 1, powder: true }] }
	],
	cups: [
		{ name: 'plain', sharePercent: 50 },
		{ name: 'red', recipeId: 'r', sharePercent: 50 }
	]
};

describe('colours together', () => {
	const inTurn = castAnswer(asked);
	const atOnce = castAnswer({ ...asked, colourSchool: 'all-at-once' });
	const ids = (a: typeof inTurn) => a.steps.map((s) => s.id);

	it('one school: A with its powder into all cups, read, B into all, then stirred in turn', () => {
		const order = [
			'measure-a',
			'colour-0-1',
			'measure-b',
			'measure-b-1',
			'cups-read',
			'combine',
			'combine-1',
			'mix-0',
			'mix-1',
			'pour-together'
		];
		const at = order.map((id) => ids(atOnce).indexOf(id));
		expect(at.every((n) => n >= 0)).toBe(true);
		expect([...at].sort((a, b) => a - b)).toEqual(at);
	});
	it('the other: cup after cup, combined and stirred before the next', () => {
		const order = ['combine', 'mix-0', 'combine-1', 'mix-1'].map((id) => ids(inTurn).indexOf(id));
		expect([...order].sort((a, b) => a - b)).toEqual(order);
	});
	it('each cup’s clock is its own combining: the pour ends with the first that is too thick', () => {
		const lives = (a: typeof inTurn) => a.plans[0]!.cups!.map((c) => c.potLifeS);
		expect(inTurn.plans[0]!.potLifeS).toBeCloseTo(Math.min(lives(inTurn)[0]!, 40 + lives(inTurn)[1]!), 6);
		expect(atOnce.plans[0]!.potLifeS).toBeCloseTo(Math.min(lives(atOnce)[0]!, B_IN_S + lives(atOnce)[1]!), 6);
		const mixed = atOnce.steps.filter((s) => s.role === 'mix').map((s) => s.deadlineS);
		expect(mixed).toEqual([2 * B_IN_S + 40, 2 * B_IN_S + 80]);
	});
	// "3 oz and 3 oz", 177.4 ml together (common practice, no source: handbook, section 11)
	it('amounts by cup need no volume of a mould; too little for it is said', () => {
		const oz = 29.5735 * 3;
		const cups = asked.cups.map((c) => ({ ...c, volumeMl: oz }));
		const typed = castAnswer({ ...asked, cups });
		for (const c of typed.plans[0]!.cups!) expect(c.a.volumeMl + c.b.volumeMl).toBeCloseTo(oz, 1);
		expect(typed.warnings.map((w) => w.code)).toContain('cups-short');
		expect(
			castAnswer({ ...asked, piece: { cavityVolumeMl: 170 }, cups }).warnings.map((w) => w.code)
		).not.toContain('cups-short');
		expect(runCalculation('cast', { ...asked, cups: [cups[0], asked.cups[1]] })).toMatchObject({
			ok: false,
			errors: [{ path: 'cups.1.volumeMl' }]
		});
	});
	it('a cup that reads colder before the clock is warm later', () => {
		const plan = { ...atOnce.plans[0]! };
		const read = (tempC: number, cup: number) => ({
			kind: 'temp-read' as const,
			id: `00000000-0000-4000-8000-0000000003${cup}${Math.round(tempC)}`,
			atMs: 1.8e12 + cup,
			tempC,
			cup
		});
		const state = reducePour(atOnce.steps, [read(18.4, 0), read(18.4, 1)]);
		expect(state.startC).toEqual({ 0: 18.4, 1: 18.4 });
		const forecast = benchForecast(plan, state)!;
		forecast.cups!.forEach((c, i) => expect(c.warmS!).toBeGreaterThan(plan.cups![i]!.warmS!));
	});
});
