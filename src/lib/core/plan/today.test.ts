import { describe, expect, it } from 'vitest';
import { cup } from '../cure';
import { containerRecord, cureOf, resinRecord } from '../shelf';
import { DEMO_RESINS } from '../../server/seed/materials';
import { inspectionsWanted, pourToday, stockWanted, successorWanted, type TodayTin } from '.';

const resin = resinRecord.parse({
	...DEMO_RESINS.find((r) => r.family === 'fast urethane')!,
	weightA: 100,
	weightB: 90
});
const tin = (part: 'A' | 'B', remainingG: number, more: Partial<TodayTin> = {}): TodayTin => ({
	record: containerRecord.parse({ materialId: 'r', part, sizeG: 1000, weighedG: 1000 }),
	remainingG,
	emptied: false,
	rateFactor: null,
	...more
});
const air = { roomTempC: 22, relativeHumidity: 45, stopHumidityPercent: 50 };
const of = { massG: 190, cupG: 95 };

describe('what is poured again today', () => {
	it('the clock is the one cup’s, the shelf has to hold all of it', () => {
		const today = pourToday(resin, of, [tin('A', 250), tin('B', 900)], air);
		expect(today.potLifeS).toBeCloseTo(
			cup({ resin: cureOf(resin), massG: 95, startTempC: 22, roomTempC: 22 }).potLifeS,
			6
		);
		// 190 g at 100:90 take 100 g of A
		expect(today).toMatchObject({ massG: 190, enoughFor: 2, wait: null });
	});
	it('a tin that readings showed slow lends its speed', () => {
		const slow = pourToday(resin, of, [tin('A', 250, { rateFactor: 0.5 }), tin('B', 900)], air);
		const usual = pourToday(resin, of, [tin('A', 250), tin('B', 900)], air);
		expect(slow.potLifeS! / usual.potLifeS!).toBeGreaterThan(1.8);
	});
	it.each([
		[40, 45, /45 % humidity: this workshop stops from 40 %/],
		[50, 45, undefined],
		[50, 50, /50 % humidity/]
	])('a workshop that stops from %d %% at %d %%', (stopHumidityPercent, relativeHumidity, said) => {
		const { wait } = pourToday(resin, of, [tin('A', 900), tin('B', 900)], {
			...air,
			stopHumidityPercent,
			relativeHumidity
		});
		if (said) expect(wait).toMatch(said);
		else expect(wait).toBeNull();
	});
	it('an emptied tin holds nothing; without tins in the books nothing is said of them', () => {
		const short = pourToday(resin, of, [tin('A', 900, { emptied: true }), tin('A', 50), tin('B', 900)], air);
		expect(short).toMatchObject({ enoughFor: 0, wait: 'too little of it on the shelf' });
		expect(pourToday(resin, of, [], air)).toMatchObject({ enoughFor: null, wait: null });
	});
});

describe('what wants doing', () => {
	const look = { part: 'gasket', name: 'Gasket', cyclesSince: 9, daysSince: 8, daysLeft: 3 } as const;
	it('a look: nothing while it is fine, otherwise how late it is', () => {
		const of = (state: 'fine' | 'soon' | 'due' | 'failed', dueDay = 3) =>
			({ ...look, state, cyclesLeft: 12, dueAtMs: dueDay * 86_400_000 }) as const;
		const at = (state: 'fine' | 'soon' | 'due' | 'failed') => inspectionsWanted('Pot 2', [of(state)], 0);
		expect(at('fine')).toBeUndefined();
		expect(at('soon')).toEqual({ what: 'Pot 2, gasket: due in 3 days or 12 cycles', late: false });
		expect(at('due')!.late).toBe(true);
		expect(at('failed')!.what).toMatch(/failed its look/);
		// several are one line of their vessel, and fine ones are none of them
		expect(inspectionsWanted('Pot 2', [of('failed'), of('due'), of('soon'), of('fine')], 0)).toEqual({
			what: 'Pot 2: refused, 3 looks',
			late: true
		});
		expect(inspectionsWanted('Pot 2', [of('soon', 5), of('soon', 2)], 0)).toEqual({
			what: 'Pot 2: 2 looks, the first in 2 days or 12 cycles',
			late: false
		});
		expect(inspectionsWanted('Pot 2', [], 0)).toBeUndefined();
	});
	it('a mould near its end, a tin that runs out or is doubtful', () => {
		expect(successorWanted('M3', 5)).toBeUndefined();
		expect(successorWanted('M3', 4)!.what).toMatch(/as few as 4 pulls left/);
		expect(successorWanted('M3', -1)).toMatchObject({ late: true });
		const stock = (t: TodayTin) => stockWanted('White', t, 'urethane', '2026-11-28', air);
		expect(stock(tin('A', 900))).toBeUndefined();
		expect(stock(tin('A', 149))).toEqual({ what: 'White A: running out', late: true });
		const old = tin('A', 900);
		expect(stock({ ...old, record: { ...old.record, useBy: '2026-11-27' } })!.what).toMatch(/doubtful/);
	});
});
