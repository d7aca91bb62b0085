import fc from 'fast-check';
import { beforeAll, describe, expect, it } from 'vitest';
import { geometry } from '../mesh/shapes.testing';
import { cupVolumeMl, markInCup } from './cupMarks';
import { markCupRecord } from './markCup';

let lib: Awaited<ReturnType<typeof geometry>>;
beforeAll(async () => void (lib = await geometry()));

describe('a cup with marks', () => {
	it('holds what the same frustum holds in an independent library', () => {
		const cup = { floorMm: 58, rimMm: 84, heightMm: 96 };
		const body = lib.Manifold.cylinder(96, 29, 42, 720);
		expect(cupVolumeMl(cup, 96) / (body.volume() / 1000)).toBeCloseTo(1, 4);
	});
	it('a mark is where that volume stands, in any cup and for any fill', () => {
		const mm = fc.double({ min: 20, max: 200, noNaN: true });
		fc.assert(
			fc.property(
				mm,
				mm,
				mm,
				fc.double({ min: 0.01, max: 1, noNaN: true }),
				(floorMm, rimMm, heightMm, share) => {
					const cup = { floorMm, rimMm, heightMm };
					const h = markInCup(cup, cupVolumeMl(cup, share * heightMm));
					expect(h! / (share * heightMm)).toBeCloseTo(1, 4);
				}
			)
		);
	});
	it('more than it holds has no mark', () => {
		expect(markInCup({ floorMm: 60, rimMm: 60, heightMm: 80 }, 230)).toBeUndefined();
	});
	it('a slip in its sizes is said at its field', () => {
		const slip = markCupRecord.safeParse({ name: 'Tub', floorMm: 0.7, rimMm: 80, heightMm: 90 });
		expect(slip.error!.issues[0]).toMatchObject({
			path: ['floorMm'],
			message: 'Under 5 mm: check the unit.'
		});
	});
});
