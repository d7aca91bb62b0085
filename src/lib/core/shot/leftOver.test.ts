import { describe, expect, it } from 'vitest';
import { leftPresses, planShot, takenFrom, takenOf, type ShotContext, type TookPull } from '.';
import { context, inputs } from './kinds/shots.testing';

/** A pour from one cup whose moulds take 36 g by the sums. */
const pour = (mixedG: number, leftG: number): TookPull => ({ mixedG, leftG, netG: 36, way: 'one' });
const heeding = (taken: ShotContext['taken'], over: object = {}) =>
	planShot(inputs({ kind: 'solid', ...over }), { ...context, taken }, false);

describe('what earlier pours took', () => {
	it('last time 14 g of 40 g were left: 26 g are mixed', () => {
		const taken = takenFrom([pour(40, 14)], 'one')!;
		expect(taken.share * 36).toBeCloseTo(26, 9);
		expect(taken).toMatchObject({ pours: 1, lastLeftG: 14, lastMixedG: 40 });
	});
	it('a corrected pour that leaves nothing changes nothing: it does not swing', () => {
		const first = takenFrom([pour(40, 14)], 'one')!;
		const second = takenFrom([pour(first.share * 36, 0), pour(40, 14)], 'one')!;
		// by no more than what nobody pours more evenly than
		expect(second.share / first.share).toBeCloseTo(1 + 1.2816 * 0.02, 4);
	});
	it('short counts the other way, and one wild pour of five, which moves a plain mean by a quarter, moves it little', () => {
		expect(takenFrom([pour(40, -4)], 'one')!.share * 36).toBeCloseTo(44, 9);
		const calm = [pour(40, 10), pour(40, 11), pour(40, 9), pour(40, 10), pour(40, 10)];
		const wild = [pour(40, 10), pour(40, 11), pour(40, 9), pour(40, 10), pour(40, -30)];
		expect(Math.abs(takenFrom(wild, 'one')!.share / takenFrom(calm, 'one')!.share - 1)).toBeLessThan(0.1);
	});
	it('from the second pour on it is enough nine times in ten: more than the middle, by the spread', () => {
		const share = takenFrom([pour(40, 12), pour(40, 8)], 'one')!.share;
		// the median absolute deviation of 28 g and 32 g is 2 g: 1.196 × 1.4826 × 2 g, × 1.2816
		expect(share * 36).toBeCloseTo(30 + 1.2816 * 1.196 * 1.4826 * 2, 6);
	});
	it('only the newest five count, only of the same way, and no slip of the scale', () => {
		const old = Array.from({ length: 5 }, () => pour(40, 10));
		expect(takenFrom([...old, pour(40, -20)], 'one')!.pours).toBe(5);
		expect(takenFrom([...old, pour(40, -20)], 'one')!.highShare).toBeCloseTo(30 / 36, 9);
		expect(takenFrom(old, 'layers')).toBeUndefined();
		expect(takenFrom([pour(40, 39)], 'one')).toBeUndefined();
	});
	it('a pour over several of the chosen moulds counts once', () => {
		const pulls = ['m1', 'm2'].map((mouldId) => ({ ...pour(40, 14), pourId: 'p', mouldId }));
		expect(takenOf(pulls, ['m1', 'm2']).one!.pours).toBe(1);
		expect(takenOf(pulls, ['m3'])).toEqual({});
	});
	it('presses are round, and no more than about a third', () => {
		expect(leftPresses(114)).toEqual([5, 10, 20]);
		for (const mixedG of [8, 40, 250, 4000]) {
			const all = leftPresses(mixedG);
			expect(all).toEqual([...all].sort((a, b) => a - b));
			expect(all.at(-1)!).toBeLessThanOrEqual(Math.max(1, mixedG * 0.36));
		}
	});
});

describe('a shot that heeds it', () => {
	const one = takenFrom([{ mixedG: 120, leftG: 20, netG: 100, way: 'one' }], 'one')!;
	it('mixes what its moulds took, and says by what', () => {
		const batch = heeding({ one }).shot.batches[0]!;
		expect(batch.volumeMl).toBeCloseTo(96 * one.share, 6);
		expect(heeding({ one }).taken).toEqual(one);
		expect(heeding({ one }).shot.working.some((w) => w.sum.includes('the last pour took'))).toBe(true);
	});
	it('is as it was where it is unticked, or where a cup fills another piece as well', () => {
		const plain = planShot(inputs({ kind: 'solid' }), context, false);
		expect(heeding({ one }, { heedLeft: false }).shot.massG).toBe(plain.shot.massG);
		expect(heeding({ layers: one }).shot.massG).toBe(plain.shot.massG);
	});
	it('in layers it moves what is lost, never a layer under its thickness', () => {
		const of = (share: number) =>
			planShot(
				inputs({ kind: 'rotocast', wallMm: 3 }),
				{ ...context, taken: { layers: { ...one, share } } },
				false
			).shot.massG;
		const plain = planShot(inputs({ kind: 'rotocast', wallMm: 3 }), context, false).shot.massG;
		expect(of(1.2) / plain).toBeCloseTo(1.2, 6);
		expect(of(0.8)).toBeCloseTo(plain, 6);
	});
});
