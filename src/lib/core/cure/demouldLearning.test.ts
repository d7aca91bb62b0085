import { describe, expect, it } from 'vitest';
import { taughtFor, type PulledPresses } from '../plan';
import { learnDemould, part, sectionsBands, type CureRecord, type DemouldSeen } from '.';

// gelled after 300 s, to be ready after 900: 600 s of count
const press = (what: DemouldSeen['what'], atS: number, sameMould = true) => ({
	what,
	atS,
	gelS: 300,
	modelS: 900,
	sameMould
});
const factor = (...seen: ReturnType<typeof press>[]) => learnDemould(seen)!.maturityFactor;

describe('what presses at demould teach', () => {
	it('nothing without presses', () => {
		expect(learnDemould([])).toBeUndefined();
	});
	it('soft after its time: it wants more; locked before it: it wanted less', () => {
		expect(factor(press('soft', 1200))).toBeGreaterThan(1.3);
		expect(factor(press('locked', 500))).toBeLessThan(0.6);
		// what any resin does says nothing
		expect(factor(press('soft', 310))).toBeCloseTo(1, 2);
		expect(factor(press('locked', 3000))).toBeCloseTo(1, 1);
	});
	it('between soft and locked it settles, closer and surer with every press', () => {
		// the truth: a count of 1.5, ready after 1200 s
		const pairs = Array.from({ length: 6 }, (_, i) => [
			press('soft', 300 + 900 * (0.75 + 0.04 * i)),
			press('locked', 300 + 900 * (1.25 - 0.04 * i))
		]);
		const few = learnDemould(pairs[0]!)!;
		const many = learnDemould(pairs.flat())!;
		expect(many.maturityFactor).toBeGreaterThan(1.4);
		expect(many.maturityFactor).toBeLessThan(1.6);
		expect(many.maturitySd).toBeLessThan(few.maturitySd);
		expect(few.maturitySd).toBeLessThan(0.45);
	});
	it('another mould teaches the same way, more loosely', () => {
		const [own, other] = [factor(press('soft', 1200)), factor(press('soft', 1200, false))];
		expect(other).toBeGreaterThan(1.1);
		expect(other).toBeLessThan(own);
	});
	it('when it may be bent: right before the model’s time pulls it forward, soft puts it off', () => {
		const share = (...seen: ReturnType<typeof press>[]) => learnDemould(seen)!.flexibleShare;
		expect(share(press('right', 400))).toBeLessThan(0.3);
		expect(share(press('soft', 650), press('soft', 650))).toBeGreaterThan(0.5);
		// right after it was ready says nothing of bending
		expect(share(press('right', 1000))).toBeCloseTo(0.35, 2);
	});
	it('what no sheet is off by is a slip, and is not kept', () => {
		const slips = Array.from({ length: 5 }, () => press('soft', 30_000));
		expect(factor(...slips)).toBe(1);
	});
	it('three that came out right in this very mould are the maker’s own time', () => {
		const right = [press('right', 690), press('right', 760), press('right', 720)];
		expect(learnDemould(right)!.own).toEqual({ lowS: 690, highS: 760, pulls: 3 });
		expect(learnDemould(right.slice(1))!.own).toBeUndefined();
		expect(learnDemould(right.map((p) => ({ ...p, sameMould: false })))!.own).toBeUndefined();
	});
});

describe('what it does to the forecast', () => {
	const resin: CureRecord = { potLifeS: 150, demouldS: 900, character: 'quick' };
	const where = { section: { shape: 'slab', thicknessMm: 6 }, mouldWallMm: 10 } as const;
	const air = { startTempC: 23, mouldTempC: 23, roomTempC: 23 };
	const ready = (more: Partial<CureRecord>) => part({ resin: { ...resin, ...more }, ...where, ...air });
	it('the count after gel goes with the factor, the gel stays', () => {
		const [usual, longer] = [ready({}), ready({ maturityFactor: 2 })];
		expect(longer.gelCoreS).toBeCloseTo(usual.gelCoreS, 6);
		expect((longer.maturedS - longer.gelCoreS) / (usual.maturedS - usual.gelCoreS)).toBeGreaterThan(1.7);
	});
	it('the band is as narrow as what was learnt', () => {
		const band = (more: Partial<CureRecord>) =>
			sectionsBands({ resin: { ...resin, ...more }, where, ...air }).demouldS.sd;
		expect(band({ maturityFactor: 1, maturitySd: 0.1 })).toBeLessThan(0.7 * band({}));
	});
});

it('one pour counts once however many moulds it filled, and as of this mould where it was one of them', () => {
	const seen = [{ what: 'soft', atS: 1200, gelS: 300, modelS: 900 }] as const;
	const row = (pourId: string, mouldId: string, resinId = 'r'): PulledPresses => ({
		pourId,
		mouldId,
		resinId,
		seen
	});
	expect(taughtFor([row('1', 'a'), row('1', 'b'), row('2', 'b', 'other')], 'r', ['a'])).toEqual(
		learnDemould([press('soft', 1200)])
	);
	expect(taughtFor([row('1', 'b')], 'r', ['a'])).toEqual(learnDemould([press('soft', 1200, false)]));
	expect(taughtFor([], 'r', ['a'])).toBeUndefined();
});
