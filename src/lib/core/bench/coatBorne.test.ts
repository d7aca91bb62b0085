import { expect, it } from 'vitest';
import { coatBorne, type CoatedPull } from './coatBorne';
import { stepsOf } from './index';
import { planOf } from './plan.testing';

/** Twelve pulls of one mould by the rule itself: at which of them it is coated. */
function coatedAt(everyPulls: number | undefined): number[] {
	const pulls: CoatedPull[] = [];
	const coated: number[] = [];
	for (let n = 1; n <= 12; n++) {
		const borne = coatBorne(pulls, { name: 'Wax', everyPulls });
		if (borne === undefined) coated.push(n);
		pulls.unshift({ release: 'Wax', borne: borne ?? null });
	}
	return coated;
}

it('a coat is put on again after so many pulls, and before every one where nothing is said', () => {
	expect(coatedAt(4)).toEqual([1, 5, 9]);
	expect(coatedAt(5)).toEqual([1, 6, 11]);
	expect(coatedAt(1)).toHaveLength(12);
	expect(coatedAt(undefined)).toHaveLength(12);
});

it('pulls without a release wear it too; another release takes its place', () => {
	const wax = { name: 'Wax', everyPulls: 4 };
	const put = { release: 'Wax', borne: null };
	const none = { release: null, borne: null };
	expect(coatBorne([none, put], wax)).toBe(2);
	expect(coatBorne([none, none, none, put], wax)).toBeUndefined();
	expect(coatBorne([{ release: 'Talc', borne: null }, put], wax)).toBeUndefined();
	// further back than is asked for nothing is known
	expect(coatBorne([{ release: 'Wax', borne: 2 }], wax)).toBeUndefined();
});

it('a coat that holds is not put on, nothing waits for it to dry, and the look over says so', () => {
	const release = { name: 'Wax', kind: 'wax', flashOffS: 300, everyPulls: 4 };
	const ids = (borne?: number) =>
		stepsOf(planOf({ release: { ...release, ...(borne && { borne }) } })).map((s) => s.id);
	expect(ids()).toEqual(expect.arrayContaining(['coat', 'flash-off']));
	expect(ids(2).filter((id) => ['coat', 'flash-off'].includes(id))).toEqual([]);
	expect(ids(2).length).toBe(ids().length - 2);
	expect(stepsOf(planOf({ release: { ...release, borne: 2 } }))[0]!.detail).toContain(
		'Its coat of Wax has borne 2 pulls of 4; if it was washed off, put it on again.'
	);
});
