import { describe, expect, it } from 'vitest';
import { DEMO_RESINS } from '../../server/seed/materials';
import { resinRecord } from '../shelf';
import { WORKSHOP_DEFAULTS } from '../workshop';
import { copyCost, handsPerCopyS, planShot, sensitivity, shotInputs, whatHelps, type ShotContext } from '.';
import { outcomeOf } from '../outcomeOf';
import { whatIf } from './whatIf';

const named = (name: string) => resinRecord.parse(DEMO_RESINS.find((r) => r.name === name));
const context: ShotContext = {
	cavityVolumeMl: 120,
	mouldWallMm: 12,
	mouldsVolumeMl: 700,
	cavities: 4,
	skinAreaMm2: 15_000,
	radiusMm: 30,
	heightMm: 90,
	resin: named('Lantern white'),
	settings: WORKSHOP_DEFAULTS
};
const typed = (over: object = {}) =>
	shotInputs.parse({
		masterId: 'm',
		mouldIds: ['x'],
		resinId: 'r',
		copies: 2,
		sprueVolumeMl: 4,
		sectionMm: 6,
		startTempC: 21,
		mouldTempC: 21,
		roomTempC: 21,
		relativeHumidity: 40,
		...over
	});

describe('if it is not as planned', () => {
	const rows = sensitivity(typed(), context);
	const row = (what: string) => rows.find((r) => r.what.includes(what))!;
	it('warmer takes time, colder gives it; lateness costs what it is', () => {
		expect(row('warmer').gainS).toBeLessThan(0);
		expect(row('colder').gainS).toBeGreaterThan(0);
		expect(row('20 s late').gainS).toBeCloseTo(-20, 6);
		expect(row('10 % more').potLifeS).toBeLessThan(row('10 % less').potLifeS);
	});
	it('is the very shot planned with that change', () => {
		const warm = planShot(typed({ startTempC: 24, mouldTempC: 24, roomTempC: 24 }), context);
		expect(row('warmer').slackS).toBeCloseTo(warm.shot.batches[0]!.slackS, 9);
	});
	it('works for layers too', () => {
		expect(sensitivity(typed({ kind: 'rotocast', wallMm: 3 }), context)).toHaveLength(5);
	});
});

describe('what would give time', () => {
	it('each is a gain, the largest first, and is what planning it so gives', () => {
		const helps = whatHelps(typed(), context, [{ name: 'Harbour slow', record: named('Harbour slow') }]);
		const gains = helps.map((h) => h.gainS);
		expect([...gains].sort((a, b) => b - a)).toEqual(gains);
		expect(Math.min(...gains)).toBeGreaterThan(1);
		expect(helps.map((h) => h.what)).toEqual(
			expect.arrayContaining(['Harbour slow', 'a second pair of hands', 'resin 5 °C cooler'])
		);
		const base = planShot(typed(), context).shot.batches[0]!.slackS;
		const two = planShot(typed({ hands: 2 }), context).shot.batches[0]!.slackS;
		expect(helps.find((h) => h.what === 'a second pair of hands')!.gainS).toBeCloseTo(two - base, 9);
	});
	it('what cannot be planned says so at its field, and is no exception', () => {
		expect(outcomeOf(() => whatIf({ ...typed(), copies: 0 }, context, []))).toMatchObject({
			ok: false,
			errors: [{ path: 'copies' }]
		});
	});
});

describe('kinds of shot from the records', () => {
	it('what is set in comes off the shot and counts afloat', () => {
		const plain = planShot(typed({ copies: 1 }), context);
		const wired = planShot(
			typed({ copies: 1, inserts: [{ name: 'wire', massG: 30, volumeMl: 20 }] }),
			context
		);
		expect(plain.shot.batches[0]!.pouredMl - wired.shot.batches[0]!.pouredMl).toBeCloseTo(20, 9);
		expect(wired.balance!.massG).toBeCloseTo(plain.balance!.massG * (100 / 120) + 30, 6);
		expect(() => planShot(typed({ inserts: [{ name: 'x', massG: 1, volumeMl: 120 }] }), context)).toThrow(
			/set in/
		);
	});
	it('filler through and through fills the same room with less resin', () => {
		const filled = planShot(typed({ fillerId: 'f', fillerPercent: 30, copies: 1 }), {
			...context,
			filler: { name: 'chalk', densityGPerMl: 2.7 }
		}).shot.batches[0]!;
		const plain = planShot(typed({ copies: 1 }), context).shot.batches[0]!;
		expect(filled.pouredMl).toBeCloseTo(plain.pouredMl, 6);
		// thicker, it leaves more in the cup
		expect(filled.lossMl).toBeGreaterThan(plain.lossMl);
		expect(filled.fillers[0]!.massG / filled.massG).toBeCloseTo(0.3, 6);
		expect(filled.a.massG + filled.b.massG).toBeLessThan(plain.a.massG + plain.b.massG);
		expect(filled.potLifeS).toBeGreaterThan(plain.potLifeS);
	});
	it('a filled shell: shell, fill and what is set in fill the cavity', () => {
		const p = planShot(typed({ kind: 'filled', wallMm: 3, copies: 1, lossPercent: 0 }), context);
		expect(p.shot.volumeMl + p.balance!.fillMl).toBeCloseTo(120, 6);
		expect(p.shot.batches[0]!.layers!.reduce((s, l) => s + l.a.massG + l.b.massG, 0)).toBeCloseTo(
			p.shot.massG,
			6
		);
	});
	it('as many are rolled at once as there are hands, and a wall too thick is said at its field', () => {
		const batches = (hands: number) =>
			planShot(typed({ kind: 'rotocast', copies: 4, hands }), context).shot.batches;
		expect(batches(1).map((b) => b.copies)).toEqual([1, 1, 1, 1]);
		expect(batches(3).map((b) => b.copies)).toEqual([3, 1]);
		expect(() => planShot(typed({ kind: 'rotocast', wallMm: 20 }), context)).toThrow(
			expect.objectContaining({ path: ['wallMm'] })
		);
		expect(() => planShot(typed({ kind: 'rotocast' }), { ...context, skinAreaMm2: undefined })).toThrow(
			/skin to cover/
		);
	});
});

it('a good copy by hand: 120 g at 20, a mould of 60 for 30 pulls, 6 min at 20, one in five scrapped', () => {
	const c = copyCost({
		resinG: 120,
		resinPerKg: 20,
		mouldCost: 60,
		mouldPulls: 30,
		handsS: 360,
		hourly: 20,
		scrapPercent: 20
	});
	expect(c.pulled).toBeCloseTo(2.4 + 2 + 2, 9);
	expect(c.good).toBeCloseTo(6.4 / 0.8, 9);
	expect(c.unpriced).toEqual([]);
	expect(() => copyCost({ resinG: 1, scrapPercent: 100 })).toThrow();
});

it('what has no price is left out and named; what costs nothing costs nothing', () => {
	const without = copyCost({ resinG: 120, fillerG: 30, handsS: 360, hourly: 20 });
	expect(without.good).toBeCloseTo(2, 9);
	expect(without.unpriced).toEqual(['resin', 'filler', 'mould']);
	expect(without.working.filter((l) => l.result === 'price not known').map((l) => l.what)).toEqual([
		'Resin',
		'Filler',
		'Mould'
	]);
	expect(copyCost({ resinG: 120, resinPerKg: 0, mouldCost: 0 }).unpriced).toEqual([]);
});

it('hands by hand: 60 s a cup, four layers, ten minutes round it, for two copies', () => {
	const steps = [{ durationS: 40 }, { durationS: 20 }];
	expect(handsPerCopyS({ copies: 2, steps, layers: [1, 2, 3, 4] })).toBe((240 + 600) / 2);
	expect(handsPerCopyS({ copies: 1, steps })).toBe(660);
});

describe('a cast in layers', () => {
	const rolled = { ...typed({ copies: 1 }), kind: 'rotocast' as const, areaMm2: 40_000, wallMm: 4, hands: 1 };
	const snap = {
		...context,
		cavityVolumeMl: 400,
		resin: { ...context.resin, character: 'snap' as const, potLifeS: 150, demouldS: 900 }
	};
	it('has no syringe at a sprue; hands, mixing and layers are what gives it time', () => {
		const helps = whatHelps(rolled, snap, []).map((w) => w.what);
		expect(helps.some((w) => w.includes('syringe'))).toBe(false);
		expect(helps).toContain('a second pair of hands');
		expect(helps).toContain('mixing in half the time');
	});
	it('answers every change: nothing of it is dead', () => {
		const planned = planShot(shotInputs.parse(rolled), snap, false);
		for (const { what, slackS, demouldS } of sensitivity(rolled, snap)) {
			const moved = Math.abs(demouldS - planned.shot.demouldS) > 1 || Math.abs(slackS) > 0;
			expect([what, moved]).toEqual([what, true]);
		}
		const more = sensitivity(rolled, snap).find((w) => w.what.startsWith('10 % more'))!;
		expect(Math.abs(more.demouldS - planned.shot.demouldS)).toBeGreaterThan(1);
	});
});
