import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bookingsFor, stockOf, type Booked, type Movement } from './stock';

let seq = 0;
const line = (kind: Movement['kind'], massG: number | null, over: Partial<Movement> = {}): Movement => ({
	seq: ++seq,
	placeSeq: null,
	kind,
	massG,
	openings: 0,
	...over
});

describe('what a tin holds', () => {
	it('by hand: 1000 weighed, 114 and 86 used, 50 thrown away, weighed again at 700, 30 used', () => {
		const lines = [
			line('weighed', 1000),
			line('used', 114, { openings: 1 }),
			line('used', 86, { openings: 1 }),
			line('thrown-away', 50),
			line('opened', null, { openings: 3 })
		];
		expect(stockOf(lines)).toMatchObject({ leftG: 750, openings: 5, afterG: [1000, 886, 800, 750, 750] });
		expect(stockOf([...lines, line('weighed', 700), line('used', 30, { openings: 1 })]).leftG).toBe(670);
	});
	it('what arrives after a weighing counts after it, whatever its clock says', () => {
		expect(stockOf([line('weighed', 1000), line('weighed', 900), line('used', 378.8)]).leftG).toBeCloseTo(
			521.2,
			9
		);
	});
	it('an amendment of what was used before a weighing changes nothing after it', () => {
		const used = line('used', 100);
		const weighed = line('weighed', 850);
		expect(
			stockOf([line('weighed', 1000, { seq: 0 }), used, weighed, line('used', 25, { placeSeq: used.seq })])
				.leftG
		).toBe(850);
	});
	it('more taken than was there is said, never less than nothing', () => {
		expect(stockOf([line('weighed', 100), line('used', 130)])).toMatchObject({ leftG: 0, overdrawnG: 30 });
		expect(stockOf([line('weighed', 100), line('used', 130), line('corrected', 50)])).toMatchObject({
			leftG: 20
		});
	});
});

describe('booking of a pour', () => {
	it('whatever is corrected, the lines of a pour add up to what it took, and open the tin once', () => {
		fc.assert(
			fc.property(
				fc.array(fc.double({ min: 0, max: 500, noNaN: true }), { minLength: 1, maxLength: 12 }),
				(takes) => {
					const booked = new Map<string, Booked>();
					let at = 0;
					for (const g of takes)
						for (const b of bookingsFor(new Map(g > 0 ? [['t', g]] : []), booked)) {
							const was = booked.get('t');
							at++;
							booked.set('t', {
								massG: (was?.massG ?? 0) + b.massG,
								openings: (was?.openings ?? 0) + b.openings,
								firstSeq: was?.firstSeq ?? at
							});
							if (was) expect(b.placeSeq).toBe(was.firstSeq);
						}
					const last = takes.at(-1)!;
					expect(booked.get('t')?.massG ?? 0).toBeCloseTo(last, 5);
					expect([0, 1]).toContain(booked.get('t')?.openings ?? 0);
					if (last > 1e-3) expect(booked.get('t')!.openings).toBe(1);
				}
			)
		);
	});
	it('says nothing twice', () => {
		expect(
			bookingsFor(new Map([['t', 5]]), new Map([['t', { massG: 5, openings: 1, firstSeq: 1 }]]))
		).toEqual([]);
	});
});
