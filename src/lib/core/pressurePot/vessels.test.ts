import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
	deliveredLPerMin,
	leak,
	INSPECTION_DEFAULTS,
	inspectionsDue,
	packShelf,
	planLoad,
	pot,
	pumpUpS,
	refusedFor,
	ringRadius,
	vesselRecord,
	type Footprint,
	type Inspection
} from '.';

const record = {
	kind: 'pot' as const,
	name: 'Test pot',
	volumeL: 18,
	diameterMm: 260,
	shelvesMm: [180, 100],
	ratedGaugeKpa: 413,
	targetGaugeKpa: 275,
	freeAirLPerMin: 90,
	dues: INSPECTION_DEFAULTS
};
const vessel = vesselRecord.parse(record);

describe('a vessel’s record', () => {
	const refused = (part: object) => {
		const parsed = vesselRecord.safeParse({ ...record, ...part });
		return parsed.success
			? ''
			: parsed.error.issues.map((i) => `${i.path.join('.')}: ${i.message}`).join(' ');
	};
	it('is never set to run past the rating on its plate', () => {
		expect(refused({ targetGaugeKpa: 420 })).toMatch(/targetGaugeKpa: That is past the rating/);
		expect(refused({ regulatorGaugeKpa: 500 })).toMatch(/regulatorGaugeKpa: That is past the rating/);
		expect(refused({ ratedGaugeKpa: undefined })).toMatch(/rating plate/);
	});
	it('says what does not go together', () => {
		expect(refused({ secondGaugeKpa: 300 })).toMatch(/secondLPerMin: A second point/);
		expect(refused({ secondGaugeKpa: 300, secondLPerMin: 120 })).toMatch(/less against pressure/);
		expect(refused({ shelvesMm: [400, 300] })).toMatch(/more than the vessel holds/);
		expect(refused({ kind: 'chamber' })).toMatch(/reachesKpa/);
		expect(refused({ regulatorGaugeKpa: 200 })).toMatch(/closes before/);
	});
});

describe('pump-up', () => {
	it('with one point is the pot’s own sum', () => {
		const one = pot({
			gaugeKpa: 275,
			potVolumeL: 18,
			contentsL: 4,
			freeAirLPerMin: 90,
			ratedGaugeKpa: 413
		});
		expect(pumpUpS(14, 275, { freeAirLPerMin: 90 })).toBeCloseTo(one.timeToPressureS, 9);
	});
	it('with a falling delivery: the closed form against a fine sum of small steps', () => {
		const delivery = { freeAirLPerMin: 100, second: { gaugeKpa: 600, freeAirLPerMin: 60 } };
		let t = 0;
		const n = 20_000;
		for (let i = 0; i < n; i++) {
			const p = ((i + 0.5) / n) * 275;
			t += (14 * (275 / n)) / (101.325 * (deliveredLPerMin(delivery, p) / 60));
		}
		expect(pumpUpS(14, 275, delivery)).toBeCloseTo(t, 4);
		expect(pumpUpS(14, 275, delivery)).toBeGreaterThan(pumpUpS(14, 275, { freeAirLPerMin: 100 }));
	});
	it('never gets there when the compressor stalls before', () => {
		const stalls = { freeAirLPerMin: 100, second: { gaugeKpa: 200, freeAirLPerMin: 1 } };
		expect(pumpUpS(14, 275, stalls)).toBe(Infinity);
		expect(() => pumpUpS(14, 275, { freeAirLPerMin: 0 })).toThrow(/pumpUpS/);
	});
	it('a leak of 10 kPa in 5 min is 2 kPa a minute; of 14 l that is 0.276 l/min of free air (by hand)', () => {
		const l = leak(14, 275, 265, 300);
		expect(l.kpaPerMin).toBeCloseTo(2, 9);
		expect(l.freeAirLPerMin).toBeCloseTo((14 * 2) / 101.325, 9);
		expect(() => leak(14, 275, 265, 0)).toThrow(/leak/);
	});
});

describe('looks', () => {
	const T0 = 1.79e12;
	const DAY = 86_400_000;
	const inspection = (part: Inspection['part'], days: number, cycles: number, ok = true): Inspection => ({
		part,
		atMs: T0 + days * DAY,
		cycles,
		ok,
		by: 'J',
		note: ''
	});
	const all = (days: number, cycles: number) =>
		(['gasket', 'clamps', 'relief valve', 'hose', 'vessel'] as const).map((p) => inspection(p, days, cycles));
	it('fall due by cycles or days, whichever is first', () => {
		const by = (cycles: number, days: number) =>
			inspectionsDue(vessel, all(0, 0), cycles, T0, T0 + days * DAY).find((d) => d.part === 'relief valve')!;
		expect(by(10, 10).state).toBe('fine');
		expect(by(46, 10).state).toBe('soon');
		expect(by(50, 10).state).toBe('due');
		expect(by(10, 90).state).toBe('due');
		expect(by(10, 10)).toMatchObject({ cyclesLeft: 40, daysLeft: 80, dueAtMs: T0 + 90 * DAY });
	});
	it('a vessel past its date or with a failed look is refused with the reason; a fresh one is not', () => {
		const at = (inspections: Inspection[], cycles: number, days: number) =>
			refusedFor(vessel, inspectionsDue(vessel, inspections, cycles, T0, T0 + days * DAY));
		expect(at(all(0, 0), 10, 10)).toBeUndefined();
		expect(at(all(0, 0), 60, 10)).toMatch(/relief valve is past its due date, 60 cycles/);
		expect(at(all(0, 0), 10, 100)).toMatch(/relief valve is past its due date, 100 days/);
		expect(at([...all(0, 0), inspection('gasket', 5, 8, false)], 10, 10)).toMatch(
			/gasket failed its last look/
		);
		// mended and looked at again
		expect(
			at([...all(0, 0), inspection('gasket', 5, 8, false), inspection('gasket', 6, 8)], 10, 10)
		).toBeUndefined();
		expect(refusedFor({ ...vessel, outOfUse: true }, [])).toMatch(/out of use/);
	});
	it('what was never looked at counts from when it was entered', () => {
		const [gasket] = inspectionsDue(vessel, [], 5, T0, T0 + 3 * DAY);
		expect(gasket).toMatchObject({ state: 'never', cyclesSince: 5 });
		expect(inspectionsDue(vessel, [], 120, T0, T0 + 3 * DAY)[0]!.state).toBe('due');
	});
});

describe('packing on a round shelf', () => {
	const discs = (n: number, d: number): Footprint[] =>
		Array.from({ length: n }, () => ({ shape: 'round', diameterMm: d }));
	// Graham, Lubachevsky, Nurmela and Östergård, Discrete Math. 181 (1998) 139, table 1 (from memory)
	it.each([
		[2, 2],
		[3, 2.1547],
		[4, 2.4142],
		[5, 2.7013],
		[6, 3],
		[7, 3],
		[8, 3.3048],
		[9, 3.6131]
	])('%d equal circles fit a circle of %d times their radius, and none smaller', (n, ratio) => {
		expect(ringRadius(n)).toBeCloseTo(ratio, 3);
		expect(packShelf(discs(n, 20), 20 * ratio * 1.0001)).toHaveLength(n);
		expect(packShelf(discs(n, 20), 20 * ratio * 0.995).length).toBeLessThan(n);
	});
	it('nothing overlaps, nothing sticks out, whatever is put in', () => {
		const thing = fc.oneof(
			fc.record({
				shape: fc.constant('round' as const),
				diameterMm: fc.double({ min: 20, max: 150, noNaN: true })
			}),
			fc.record({
				shape: fc.constant('rectangular' as const),
				lengthMm: fc.double({ min: 20, max: 160, noNaN: true }),
				widthMm: fc.double({ min: 20, max: 160, noNaN: true })
			})
		);
		const corners = (f: Footprint, p: { xMm: number; yMm: number; turned: boolean }) => {
			if (f.shape === 'round')
				return Array.from({ length: 24 }, (_, i): [number, number] => [
					p.xMm + (f.diameterMm / 2) * Math.cos((i * Math.PI) / 12),
					p.yMm + (f.diameterMm / 2) * Math.sin((i * Math.PI) / 12)
				]);
			const [hx, hy] = p.turned ? [f.widthMm / 2, f.lengthMm / 2] : [f.lengthMm / 2, f.widthMm / 2];
			return [
				[p.xMm - hx, p.yMm - hy],
				[p.xMm + hx, p.yMm - hy],
				[p.xMm + hx, p.yMm + hy],
				[p.xMm - hx, p.yMm + hy]
			] as [number, number][];
		};
		const holds = (f: Footprint, p: { xMm: number; yMm: number; turned: boolean }, x: number, y: number) => {
			if (f.shape === 'round') return Math.hypot(x - p.xMm, y - p.yMm) < f.diameterMm / 2 - 0.01;
			const [hx, hy] = p.turned ? [f.widthMm / 2, f.lengthMm / 2] : [f.lengthMm / 2, f.widthMm / 2];
			return Math.abs(x - p.xMm) < hx - 0.01 && Math.abs(y - p.yMm) < hy - 0.01;
		};
		fc.assert(
			fc.property(fc.array(thing, { minLength: 1, maxLength: 7 }), (things) => {
				const placed = packShelf(things, 300);
				for (const p of placed) {
					const f = things[p.index]!;
					for (const [x, y] of [...corners(f, p), [p.xMm, p.yMm] as [number, number]]) {
						expect(Math.hypot(x, y)).toBeLessThanOrEqual(150 + 0.01);
						for (const q of placed)
							if (q.index !== p.index) expect(holds(things[q.index]!, q, x, y)).toBe(false);
					}
				}
			}),
			{ numRuns: 40 }
		);
	});
	it('two boxes that fill a square in the circle, and one that only fits turned', () => {
		const half: Footprint = { shape: 'rectangular', lengthMm: 200, widthMm: 100 };
		expect(packShelf([half, half], 290)).toHaveLength(2);
		expect(packShelf([{ shape: 'round', diameterMm: 301 }], 300)).toHaveLength(0);
	});
});

describe('a load', () => {
	const load = (name: string, diameterMm: number, heightMm: number) => ({
		name,
		footprint: { shape: 'round' as const, diameterMm },
		heightMm,
		outsideMl: (Math.PI * diameterMm ** 2 * heightMm) / 4000
	});
	it('puts low moulds on the low shelf, tall ones on the tall, and says what stays out', () => {
		const plan = planLoad(
			vessel,
			[load('tall', 120, 170), load('low', 120, 80), load('low', 120, 90), load('giant', 100, 300)],
			{ altitudeM: 0, gelS: 200 }
		);
		expect(plan.shelves[0]!.placed.map((p) => p.load)).toEqual([0]);
		expect(plan.shelves[1]!.placed.map((p) => p.load).sort()).toEqual([1, 2]);
		expect(plan.left).toEqual([{ load: 3, why: expect.stringContaining('300 mm high') }]);
		expect(plan.freeL).toBeCloseTo(18 - plan.contentsL, 9);
		expect(plan.slackS).toBeCloseTo(200 - plan.timeToPressureS, 9);
	});
	it('a mould that no empty shelf takes is too wide, one that comes too late has no room left', () => {
		const two = [load('wide', 245, 60), load('wide', 245, 60), load('wide', 245, 60), load('table', 300, 60)];
		const plan = planLoad(vessel, two, { altitudeM: 0 });
		expect(plan.left.map(({ load, why }) => [load, why])).toEqual([
			[2, 'no shelf that is high enough has room left'],
			[3, 'too wide for a pot of 260 mm across']
		]);
	});
	it('is never planned past the rating', () => {
		expect(() => planLoad(vessel, [], { altitudeM: 0, targetGaugeKpa: 500 })).toThrow(
			/past the vessel's rating/
		);
	});
});
